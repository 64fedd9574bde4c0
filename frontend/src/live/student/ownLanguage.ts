/**
 * The language in which this device speaks to its student. What was chosen here just now goes first, then what the
 * member who sits here needs, then what was chosen on this device before; else it is the device's own, if the school
 * offers it.
 */
import { shallowReactive } from 'vue'
import { deviceLanguage, follow, isLanguage, type Language } from '@/words'

const KEPT = 'lantern.language'

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
  return wishes.offered.length ? deviceLanguage(wishes.offered) : deviceLanguage()
}

/** From now on the page speaks so. Resolves when it does, or when the words could not be fetched at once. Unless it is
 * `toRemember`, what is chosen lasts as long as the page. */
export function followLanguage(toRemember = true): Promise<void> {
  remembers = toRemember
  if (remembers) wishes.kept = kept()
  return follow(ownLanguage)
}
