/** What this device keeps of set work: its pass for each link, and attempts with what was not sent yet. */
import { newId } from '@/api/ids'
import type { AttemptMessage, Entered, StudentCommand } from '@/api/types'

function read<T>(name: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(name) ?? 'null') as T | null
  } catch {
    return null
  }
}

function write(name: string, value: unknown): void {
  try {
    if (value === null) localStorage.removeItem(name)
    else localStorage.setItem(name, JSON.stringify(value))
  } catch {
    // Private windows may refuse, and a device may be full: it then lasts as long as the page.
  }
}

const passName = (link: string): string => `lantern.work.${link}`

/** One's own link brings the pass along, behind its #, where no server sees it. */
export function keptPass(link: string, hash = location.hash): Entered | null {
  const brought = decodeURIComponent(hash.slice(1))
  const kept = read<Entered>(passName(link))
  if (!brought || brought === kept?.token) return kept
  return { token: brought, link, name: kept?.name ?? '', number: 1, languages: kept?.languages ?? [] }
}

export const keepPass = (pass: Entered): void => write(passName(pass.link), pass)
export function forgetPass(link: string): void {
  write(passName(link), null)
  write(keyName(link), null)
}

/** A pass of any other work: the same class may know its student by it. */
export function anyPass(but: string): string {
  try {
    for (let index = 0; index < localStorage.length; index += 1) {
      const name = localStorage.key(index) ?? ''
      if (name.startsWith('lantern.work.') && name !== passName(but)) return read<Entered>(name)?.token ?? ''
    }
  } catch {
    // Nothing is kept here.
  }
  return ''
}

const keyName = (link: string): string => `lantern.work-key.${link}`
/** By which a link knows this device again. Who says that they are somebody else gets another. */
export function workKey(link: string): string {
  const key = read<string>(keyName(link)) ?? newId(24)
  write(keyName(link), key)
  return key
}

/** An attempt as the server told it last, and what is still to be said, in order. */
export interface KeptAttempt {
  message: AttemptMessage
  queue: StudentCommand[]
}

const attemptName = (token: string, number: number): string =>
  `lantern.attempt.${token.slice(0, 24)}.${number}`
export const keptAttempt = (token: string, number: number): KeptAttempt | null =>
  read<KeptAttempt>(attemptName(token, number))
export const keepAttempt = (token: string, number: number, kept: KeptAttempt | null): void =>
  write(attemptName(token, number), kept)
