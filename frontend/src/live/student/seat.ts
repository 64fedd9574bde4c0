/**
 * The seat this device holds: its token, and answers that are on their way.
 *
 * Each tab keeps its own, so that two tabs can be two students; the newest is also kept for the
 * browser, so that closing the phone and opening the link again leads back.
 */
import { newId } from '@/api/ids'
import type { SentAnswer, Joined } from '@/api/types'

export type Pending = SentAnswer

const SEAT = 'lantern.seat'
const KEY = 'lantern.join-key'

function read<T>(storage: Storage, name: string): T | null {
  try {
    return JSON.parse(storage.getItem(name) ?? 'null') as T | null
  } catch {
    return null
  }
}

function write(storage: Storage, name: string, value: unknown): void {
  try {
    storage.setItem(name, JSON.stringify(value))
  } catch {
    // Private windows may refuse: the seat then lasts as long as the page.
  }
}

export function keptSeat(code: string): Joined | null {
  const seat = read<Joined>(sessionStorage, SEAT) ?? read<Joined>(localStorage, SEAT)
  return seat && (!code || seat.code === code) ? seat : null
}

export function keepSeat(seat: Joined): void {
  write(sessionStorage, SEAT, seat)
  write(localStorage, SEAT, seat)
}

export function forgetSeat(keepsKey = false): void {
  const here = read<Joined>(sessionStorage, SEAT)
  if (!here || read<Joined>(localStorage, SEAT)?.token === here.token) localStorage.removeItem(SEAT)
  sessionStorage.removeItem(SEAT)
  if (!keepsKey) sessionStorage.removeItem(KEY)
}

/** The id this tab joins with: asking twice, after a reply was lost, takes one seat. */
export function joinKey(): string {
  const key = read<string>(sessionStorage, KEY) ?? newId(24)
  write(sessionStorage, KEY, key)
  return key
}

const DEVICE = 'lantern.device'
/** The id by which a light is found again that is kept with this device. */
export function deviceKey(): string {
  const key = read<string>(localStorage, DEVICE) ?? newId(24)
  write(localStorage, DEVICE, key)
  return key
}

const pendingName = (seat: Joined): string => `lantern.pending.${seat.token}`
/** By ask. What an older page kept in another form is left aside. */
export function keptPending(seat: Joined): Record<string, Pending> {
  const kept = read<Record<string, Pending>>(localStorage, pendingName(seat)) ?? {}
  return Object.fromEntries(Object.entries(kept).filter(([ask, one]) => one?.command?.ask === ask))
}

export function keepPending(seat: Joined, pending: Record<string, Pending>): void {
  if (Object.keys(pending).length) write(localStorage, pendingName(seat), pending)
  else localStorage.removeItem(pendingName(seat))
}

/** The last words of the teacher that were read on this device: by seat, the number of each. */
const readName = (token: string): string => `lantern.read.${token}`
export const keptRead = (token: string): number => read<number>(localStorage, readName(token)) ?? 0
export const keepRead = (token: string, number: number): void => write(localStorage, readName(token), number)

const classKeyName = (link: string): string => `lantern.class.${link}`
/** The id by which a class's link knows this device again, also tomorrow. */
export function classKey(link: string): string {
  const key = read<string>(localStorage, classKeyName(link)) ?? newId(24)
  write(localStorage, classKeyName(link), key)
  return key
}
