/** The few requests a student's page makes, without the teacher's client: every kilobyte counts here. */
import { OFFLINE, refusalFrom } from '@/api/refusal'
import type { CodeInfo, Joined } from '@/api/types'

async function request<T>(path: string, body?: unknown): Promise<T> {
  const options = body
    ? { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }
    : {}
  const reply = await fetch(path, options).catch(() => {
    throw OFFLINE
  })
  const content = await reply.json().catch(() => undefined)
  if (!reply.ok) throw refusalFrom(content, reply.status)
  return content as T
}

export const lookUp = (code: string): Promise<CodeInfo> =>
  request(`/api/live/codes/${encodeURIComponent(code)}`)
export const join = (code: string, name: string, key: string): Promise<Joined> =>
  request('/api/live/join', { code, name, key })
