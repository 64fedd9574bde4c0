/** The teacher's way to the API: typed by the generated schema, with the CSRF token, refusals as errors. */
import createClient, { type Middleware } from 'openapi-fetch'
import type { paths } from './schema'
import { OFFLINE, refusalFrom } from './refusal'

export function csrfToken(): string {
  return /(?:^|; )csrftoken=([^;]+)/.exec(document.cookie)?.[1] ?? ''
}

const refuse: Middleware = {
  onRequest({ request }) {
    request.headers.set('X-CSRFToken', csrfToken())
    return request
  },
  async onResponse({ response }) {
    if (response.ok) return
    const body = await response
      .clone()
      .json()
      .catch(() => undefined)
    throw refusalFrom(body, response.status)
  },
  onError({ error }) {
    return error instanceof TypeError ? OFFLINE : undefined
  },
}

export const api = createClient<paths>({ baseUrl: '/', credentials: 'same-origin' })
api.use(refuse)

/** The data of a reply; refusals have been thrown before. */
export async function data<T>(reply: Promise<{ data?: T }>): Promise<T> {
  return (await reply).data as T
}

/** Sends a form with files; what is null is left out. Refusals are thrown. */
export async function sendForm<T>(path: string, fields: Record<string, string | Blob | null>): Promise<T> {
  const body = new FormData()
  for (const [name, value] of Object.entries(fields)) if (value !== null) body.append(name, value)
  const reply = await fetch(path, { method: 'POST', body, headers: { 'X-CSRFToken': csrfToken() } })
  if (!reply.ok) throw refusalFrom(await reply.json().catch(() => undefined), reply.status)
  return (await reply.json()) as T
}
