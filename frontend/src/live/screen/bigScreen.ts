/** How the big screen looks and sounds: kept on this machine, for the desk and the big screen alike. */
import { useLocalStorage, type RemovableRef } from '@vueuse/core'
import { deviceLanguage, isLanguage, type Language } from '@/words'
import { t } from './words'

const ALL = ['night', 'day', 'contrast', 'fog', 'dusk', 'gale'] as const
export type Look = (typeof ALL)[number]
const isLook = (text: string): text is Look => (ALL as readonly string[]).includes(text)

/** Each with what it is called. */
export const looks = (): Record<Look, string> =>
  Object.fromEntries(ALL.map((look) => [look, t(`look_${look}`)])) as Record<Look, string>

export const useLook = (): RemovableRef<Look> =>
  useLocalStorage<Look>('lantern.screen-look', 'night', {
    serializer: { read: (text) => (isLook(text) ? text : 'night'), write: String },
  })
export const nextLook = (look: Look): Look => ALL[(ALL.indexOf(look) + 1) % ALL.length]!

export const useSoundOn = (): RemovableRef<boolean> => useLocalStorage('lantern.screen-sound', false)
/** From 0 to 1. */
export const useVolume = (): RemovableRef<number> => useLocalStorage('lantern.screen-volume', 0.5)

/** The language that was chosen for it; empty: that of its machine. */
export const chosenLanguage = useLocalStorage<Language | ''>('lantern.screen-language', '', {
  serializer: { read: (text) => (isLanguage(text) ? text : ''), write: String },
})
export const screenLanguage = (): Language => chosenLanguage.value || deviceLanguage()
