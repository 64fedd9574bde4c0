/** Moments as the school's clocks show them, in the student's language. */
import { localeOf } from '@/words'

export const moment = (at: number, zone = 'UTC'): string =>
  new Intl.DateTimeFormat(localeOf(), {
    numberingSystem: 'latn',
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    hour: 'numeric',
    minute: '2-digit',
    timeZone: zone,
  }).format(at)

export const shortMoment = (at: number, zone = 'UTC'): string =>
  new Intl.DateTimeFormat(localeOf(), {
    numberingSystem: 'latn',
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: 'numeric',
    minute: '2-digit',
    timeZone: zone,
  }).format(at)
