/** Moments as the clocks of a time zone show them, in the form that a field for date and time has. */
import { localeOf } from '@/words'

/** 1_800_000_000_000 in UTC as "2027-01-15T08:00". */
export function wallOf(at: number, zone: string): string {
  const format = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  })
  const parts = Object.fromEntries(format.formatToParts(at).map((part) => [part.type, part.value]))
  return `${parts.year}-${parts.month}-${parts.day}T${parts.hour}:${parts.minute}`
}

const asUtc = (wall: string): number => Date.parse(`${wall}:00Z`)

/** The inverse; null for what is no date and time. An hour that a change of the clocks leaves out is the one after it. */
export function momentAt(wall: string, zone: string): number | null {
  if (!/^\d{4,6}-\d\d-\d\dT\d\d:\d\d/.test(wall)) return null
  const first = asUtc(wall.slice(0, 16))
  if (Number.isNaN(first)) return null
  const near = first - (asUtc(wallOf(first, zone)) - first)
  return first - (asUtc(wallOf(near, zone)) - near)
}

/** "Tue 3 Nov, 18:00". */
export const zonedMoment = (at: number, zone: string): string =>
  new Intl.DateTimeFormat(localeOf(), {
    numberingSystem: 'latn',
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone: zone,
  }).format(at)
