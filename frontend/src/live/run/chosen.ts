/** How sessions are run, as it was chosen last time on this device. */
import { useLocalStorage, type RemovableRef } from '@vueuse/core'
import defaults from '@/api/defaults.json'
import type { GameChosen, Settings } from '@/api/types'
import { games } from '@/games/registry'
import { KNOWN } from '@/composables/known'

const START = defaults.settings as Settings

/** What was kept, where it still is a choice: the settings of an older version may have other names. */
export function stillChoices(kept: Record<string, unknown>): Settings {
  const chosen: Record<string, unknown> = { ...START }
  for (const [name, start] of Object.entries(START))
    if (typeof start === 'boolean' && typeof kept[name] === 'boolean') chosen[name] = kept[name]
  if (String(kept.known) in KNOWN) chosen.known = kept.known
  const game = kept.game as GameChosen | undefined
  return { ...(chosen as Settings), game: game && game.game in games ? game : START.game }
}

export function useChosen(): RemovableRef<Settings> {
  return useLocalStorage<Settings>('lantern.run-settings', START, {
    mergeDefaults: (kept) => stillChoices({ ...kept }),
  })
}

/** The class that a session was run for last. */
export const useChosenClass = (): RemovableRef<number | null> =>
  useLocalStorage<number | null>('lantern.run-class', null, {
    serializer: { read: (text) => Number(text) || null, write: String },
  })
