/**
 * The language in which this device speaks to its student. What was chosen here just now goes first, then what the
 * member who sits here needs, then what was chosen on this device before; else it is the device's own, if the school
 * offers it.
 */
import { shallowReactive, watch } from 'vue'
import { directionOf, isLanguage, language, LANGUAGES, speak, type Language } from '@/words'

const KEPT = 'lantern.language'
const TRY_AGAIN = 3000

function kept(): Language | '' {
  try {
    const found = localStorage.getItem(KEPT) ?? ''
    return isLanguage(found) ? found : ''
  } catch {
    return ''
  }
}

const wishes = shallowReactive({
  picked: '' as Language | '',
  needed: '' as Language | '',
  kept: '' as Language | '',
  offered: [] as readonly Language[],
})

let remembers = false

/** The student chooses, for now and for the next time. */
export function pick(wanted: Language): void {
  wishes.picked = wishes.kept = wanted
  try {
    if (remembers) localStorage.setItem(KEPT, wanted)
  } catch {
    // Private windows may refuse: it then lasts as long as the page.
  }
}

/** What the class list says of who sits here; another who sits down chooses anew. */
export function needLanguage(needed: Language | '' = ''): void {
  if (wishes.needed !== needed) wishes.picked = ''
  wishes.needed = needed
}

/** The languages of a school, the usual one first; none: all that there are. */
export function offer(languages: readonly Language[] = []): void {
  wishes.offered = languages
}

export function ownLanguage(): Language {
  const named = wishes.picked || wishes.needed || wishes.kept
  if (named) return named
  const offered = wishes.offered.length ? wishes.offered : (Object.keys(LANGUAGES) as Language[])
  const own = navigator.languages.map((tag) => tag.slice(0, 2).toLowerCase())
  return own.filter(isLanguage).find((tag) => offered.includes(tag)) ?? offered[0]!
}

async function say(wanted: Language): Promise<void> {
  try {
    await speak(wanted)
  } catch {
    setTimeout(() => ownLanguage() === wanted && void say(wanted), TRY_AGAIN)
  }
}

/** From now on the page speaks so. Resolves when it does, or when the words could not be fetched at once. Unless it is
 * `toRemember`, what is chosen lasts as long as the page. */
export function followLanguage(toRemember = true): Promise<void> {
  remembers = toRemember
  if (remembers) wishes.kept = kept()
  watch(language, (now) => Object.assign(document.documentElement, { lang: now, dir: directionOf(now) }), {
    immediate: true,
  })
  watch(ownLanguage, (wanted) => void say(wanted))
  return say(ownLanguage())
}
