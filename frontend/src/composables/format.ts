/** Numbers and dates as a teacher reads them. */

const DAY = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
})
const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' })
const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric' })

const SHORT_DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })

/** A moment in milliseconds as a day of the year. */
export const shortDay = (ms: number): string => SHORT_DAY.format(new Date(ms))
export const monthOf = (iso: string): string => MONTH.format(new Date(iso))
export const dayAndTime = (iso: string): string => DAY.format(new Date(iso)).replace(',', '')
/** A moment in milliseconds as a time of its day. */
export const timeOfDay = (ms: number): string => TIME.format(new Date(ms))
/** A moment in milliseconds as a day and a time. */
export const momentOf = (ms: number): string => DAY.format(new Date(ms)).replace(',', '')
export const dateOf = (iso: string): string => DATE.format(new Date(iso))

/** 0.637 as "64 %". */
export const percent = (share: number): string => `${Math.round(share * 100)} %`

/** Seconds as the editor says them: "30 s", "2 min", "1 min 30 s". */
export function duration(seconds: number): string {
  const minutes = Math.floor(seconds / 60)
  const rest = seconds % 60
  return [minutes ? `${minutes} min` : '', rest || !minutes ? `${rest} s` : ''].filter(Boolean).join(' ')
}

export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`
}

const ORDINAL = new Intl.PluralRules('en-GB', { type: 'ordinal' })
const ENDINGS: Record<string, string> = { one: 'st', two: 'nd', few: 'rd', other: 'th' }

export const ordinal = (place: number): string => `${place}${ENDINGS[ORDINAL.select(place)]}`

const FRACTIONS: [number, string][] = [
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
]

/** A mark between wrong and right as a fraction, or as a percentage where no fraction is near. */
export function fraction(mark: number): string {
  const near = FRACTIONS.find(([value]) => Math.abs(value - mark) < 0.01)
  return near ? near[1] : `${Math.round(mark * 100)}`
}

/** A sum of marks without a tail of digits. */
export const score = (sum: number): string => String(Math.round(sum * 100) / 100)

/** Seconds as a clock that runs down shows them: "14:05". */
export const clockTime = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
