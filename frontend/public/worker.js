/**
 * Opens a student's page of set work where there is no network.
 *
 * 1. The page itself and what it has loaded are kept as they come: whoever opened the page once can open it again.
 * 2. Files with a digest in their name never change, so they are taken from here first. The page is asked for anew
 *    each time, and taken from here where nobody answers.
 * 3. What the server says and takes (`/api/`) is never kept here: answers wait in the page.
 */
const KEPT = 'lantern-work-1'
const FOR_GOOD = /^\/static\/student\/assets\/|^\/media\//
const PAGE = /^\/w\/[\w-]+$/

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(takeOver()))
self.addEventListener('fetch', (event) => {
  const { pathname, origin } = new URL(event.request.url)
  if (event.request.method !== 'GET' || origin !== self.location.origin) return
  if (FOR_GOOD.test(pathname)) event.respondWith(keptFirst(event.request))
  else if (event.request.mode === 'navigate' && PAGE.test(pathname)) event.respondWith(newest(event.request))
})
/** What the page had loaded before this script was there. */
self.addEventListener('message', (event) => event.waitUntil(keepAll(event.data)))

async function takeOver() {
  for (const name of await caches.keys()) if (name.startsWith('lantern-work-') && name !== KEPT) await caches.delete(name)
  await self.clients.claim()
}

async function keptFirst(request) {
  const store = await caches.open(KEPT)
  const kept = await store.match(request)
  if (kept) return kept
  try {
    const reply = await fetch(request)
    if (reply.status === 200) await store.put(request, reply.clone())
    return reply
  } catch (error) {
    const another = await anotherSize(store, request.url)
    if (another) return another
    throw error
  }
}

/** A picture is kept in one width; where that is not the one that is asked for it is better than none. */
async function anotherSize(store, url) {
  const folder = url.slice(0, url.lastIndexOf('/') + 1)
  const kept = folder.includes('/media/') && (await store.keys()).find((one) => one.url.startsWith(folder))
  return kept ? store.match(kept) : undefined
}

/** All of these pages are one and the same. */
async function newest(request) {
  const store = await caches.open(KEPT)
  try {
    const reply = await fetch(request)
    if (reply.ok) await store.put('/w/page', reply.clone())
    return reply
  } catch (error) {
    const kept = await store.match('/w/page')
    if (kept) return kept
    throw error
  }
}

async function keepAll(paths) {
  const store = await caches.open(KEPT)
  for (const path of paths) {
    if (await store.match(path)) continue
    const reply = await fetch(path).catch(() => null)
    if (reply?.ok) await store.put(PAGE.test(path) ? '/w/page' : path, reply)
  }
}
