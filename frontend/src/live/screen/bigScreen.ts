/** How the big screen looks and sounds: kept on this machine, for the desk and the big screen alike. */
import { useLocalStorage, type RemovableRef } from '@vueuse/core'

export const LOOKS = {
  night: 'Night',
  day: 'Day',
  contrast: 'High contrast',
  fog: 'Sea fog',
  dusk: 'Dusk over the bay',
  gale: 'Gale',
} as const
export type Look = keyof typeof LOOKS
const ALL = Object.keys(LOOKS) as Look[]

export const useLook = (): RemovableRef<Look> =>
  useLocalStorage<Look>('lantern.screen-look', 'night', {
    serializer: { read: (text) => (text in LOOKS ? (text as Look) : 'night'), write: String },
  })
export const nextLook = (look: Look): Look => ALL[(ALL.indexOf(look) + 1) % ALL.length]!

export const useSoundOn = (): RemovableRef<boolean> => useLocalStorage('lantern.screen-sound', false)
/** From 0 to 1. */
export const useVolume = (): RemovableRef<number> => useLocalStorage('lantern.screen-volume', 0.5)
