/** The few requests a student's page makes, without the teacher's client: every kilobyte counts here. */
import { OFFLINE, refusalFrom } from '@/api/refusal'
import { language } from '@/words'
import { deviceKey } from './seat'
import type { CodeInfo, Joined, MadeName, ToJoin } from '@/api/types'

/** A request that got no answer is made again: both may be asked twice, a join by its key. */
const AGAIN_AFTER = [200, 600]

async function reach(path: string, options: RequestInit): Promise<Response> {
  for (const wait of AGAIN_AFTER) {
    try {
      return await fetch(path, options)
    } catch {
      await new Promise((resolve) => setTimeout(resolve, wait))
    }
  }
  return fetch(path, options).catch(() => {
    throw OFFLINE
  })
}

export async function request<T>(
  path: string,
  headers: Record<string, string>,
  body?: unknown,
  method = 'POST',
): Promise<T> {
  const options = body
    ? {
        method,
        headers: { ...headers, 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      }
    : { headers }
  const reply = await reach(path, options)
  const content = await reply.json().catch(() => undefined)
  if (!reply.ok) throw refusalFrom(content, reply.status)
  return content as T
}

/** `key` is this device's own: wrong codes that others type do not count against it. */
export const lookUp = (code: string, key: string): Promise<CodeInfo> =>
  request(`/api/live/codes/${encodeURIComponent(code)}`, { 'X-Device': key })
export const makeName = (code: string, language: string, key: string): Promise<MadeName> =>
  request(`/api/live/codes/${encodeURIComponent(code)}/made-name?language=${language}`, { 'X-Device': key })
export const join = (code: string, who: object, key: string): Promise<Joined> =>
  request('/api/live/join', {}, { ...who, code, key, device: deviceKey(), language: language.value })
export const confirmAddress = (token: string): Promise<unknown> => request('/api/live/confirm', {}, { token })
export const lookAtClass = (link: string, key: string): Promise<ToJoin> =>
  request(`/api/classes/joining/${encodeURIComponent(link)}`, { 'X-Device': key })
export const joinClass = (link: string, who: object, key: string): Promise<ToJoin> =>
  request(`/api/classes/joining/${encodeURIComponent(link)}`, {}, { ...who, key })
