/** Keeps this page and what it has loaded, so that it opens where there is no network (`public/worker.js`). */
export function openWithoutNetwork(): void {
  if (!('serviceWorker' in navigator)) return
  navigator.serviceWorker.register('/w.js', { scope: '/w/' }).catch(() => {})
  void navigator.serviceWorker.ready.then(() => keepLoaded()).catch(() => {})
}

/** What has come until now, before the worker was there to keep it. */
export async function keepLoaded(more: string[] = []): Promise<void> {
  const { active } = await navigator.serviceWorker.ready
  const loaded = performance
    .getEntriesByType('resource')
    .map(({ name }) => new URL(name))
    .filter(({ origin, pathname }) => origin === location.origin && !pathname.startsWith('/api/'))
    .map(({ pathname }) => pathname)
  active?.postMessage([...new Set([location.pathname, ...loaded, ...more])])
}
