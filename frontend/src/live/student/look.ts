/**
 * How this device shows things to its student: what they need by the class list, and what they have chosen here.
 * It is said on the page's root, and the styles do the rest.
 */
import { reactive, watchEffect } from 'vue'
import type { Needs } from '@/api/types'

export interface OwnLook {
  text: Needs['text']
  contrast: boolean
  calm: boolean
}

/** What somebody chose on the device. */
interface Chosen extends OwnLook {
  /** Questions can be read aloud. */
  aloud: boolean
  /** It is heard what was right, and what is lit. */
  sounds: boolean
}

const KEPT = 'lantern.own-look'
export const SIZES: OwnLook['text'][] = ['normal', 'large', 'largest']

function kept(): Partial<Chosen> {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Chosen>
  } catch {
    return {}
  }
}

/** Chosen on this device, by whoever holds it. */
export const chosen = reactive<Chosen>({
  text: 'normal',
  contrast: false,
  calm: false,
  aloud: false,
  sounds: false,
})
/** What the member that sits here needs. */
const needed = reactive<OwnLook>({ text: 'normal', contrast: false, calm: false })

export function need(needs: Partial<Needs> | null | undefined): void {
  needed.text = needs?.text ?? 'normal'
  needed.contrast = needs?.high_contrast ?? false
  needed.calm = needs?.no_motion ?? false
}

/** The larger of both, and whatever either wants. */
function shown(): OwnLook {
  const size = Math.max(SIZES.indexOf(chosen.text), SIZES.indexOf(needed.text))
  return {
    text: SIZES[size] ?? 'normal',
    contrast: chosen.contrast || needed.contrast,
    calm: chosen.calm || needed.calm,
  }
}

/** Whether questions can be read aloud here: not where a set is only tried. */
export const offers = reactive({ aloud: true })

/** From now on the page looks so. Unless it `remembers`, what was chosen lasts as long as the page. */
export function followLook(remembers = true): void {
  if (remembers) Object.assign(chosen, kept())
  watchEffect(() => {
    const { text, contrast, calm } = shown()
    Object.assign(document.documentElement.dataset, { text, contrast: String(contrast), calm: String(calm) })
  })
  watchEffect(() => {
    const text = JSON.stringify(chosen)
    try {
      if (remembers) localStorage.setItem(KEPT, text)
    } catch {
      // Private windows may refuse: it then lasts as long as the page.
    }
  })
}
