/** Numbers, dates and times as the page's language writes them. */
import { figure, formats, language, localeOf } from '@/words'

const FIGURES = { numberingSystem: 'latn' } as const

const dates = (options: Intl.DateTimeFormatOptions) =>
  formats(() => new Intl.DateTimeFormat(localeOf(), { ...FIGURES, ...options }))

const DAY = dates({ weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const TIME = dates({ hour: '2-digit', minute: '2-digit', second: '2-digit' })
const HOUR = dates({ hour: '2-digit', minute: '2-digit' })
const DATE = dates({ day: 'numeric', month: 'short', year: 'numeric' })
const MONTH = dates({ month: 'long', year: 'numeric' })
const SHORT_DAY = dates({ day: 'numeric', month: 'short' })

/** A moment in milliseconds as a day of the year. */
export const shortDay = (ms: number): string => SHORT_DAY().format(ms)
export const monthOf = (iso: string): string => MONTH().format(new Date(iso))
/** A moment in milliseconds as a day and a time. */
export const momentOf = (ms: number): string => DAY().format(ms).replace(',', '')
export const dayAndTime = (iso: string): string => momentOf(Date.parse(iso))
/** A moment in milliseconds as a time of its day: with its seconds, or to the minute. */
export const timeOfDay = (ms: number): string => TIME().format(ms)
export const hourOf = (ms: number): string => HOUR().format(ms)
export const dateOf = (iso: string): string => DATE().format(new Date(iso))

const PERCENT = formats(() => new Intl.NumberFormat(localeOf(), { ...FIGURES, style: 'percent' }))
/** 0.637 as "64 %". English has the space, too, as the standard of units does. */
export const percent = (share: number): string =>
  PERCENT()
    .formatToParts(share)
    .map((part) => (part.type === 'percentSign' && language.value === 'en' ? ` ${part.value}` : part.value))
    .join('')

/** Seconds as the editor says them: "30 s", "2 min", "1 min 30 s". The signs of units are the same in every language. */
export function duration(seconds: number): string {
  const minutes = Math.floor(seconds / 60)
  const rest = seconds % 60
  return [minutes ? `${minutes} min` : '', rest || !minutes ? `${rest} s` : ''].filter(Boolean).join(' ')
}

const ORDINAL = new Intl.PluralRules('en-GB', { type: 'ordinal' })
const ENDINGS: Record<string, string> = { one: 'st', two: 'nd', few: 'rd', other: 'th' }

/** "1st"; where a language has no endings for it, "1.". */
export const ordinal = (place: number): string =>
  `${place}${language.value === 'en' ? ENDINGS[ORDINAL.select(place)] : '.'}`

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
  return near ? near[1] : figure(Math.round(mark * 100))
}

/** A sum of marks without a tail of digits. */
export const score = (sum: number): string => figure(Math.round(sum * 100) / 100)

/** A number with so many decimals. */
export const fixed = (value: number, digits: number): string =>
  new Intl.NumberFormat(localeOf(), {
    ...FIGURES,
    useGrouping: false,
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  }).format(value)

/** Seconds as a clock that runs down shows them: "14:05". */
export const clockTime = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
