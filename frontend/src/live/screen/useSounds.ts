/** What the room hears: the piece of the game that is played, and a signal for what has just happened. */
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import type { GameName, ScreenView } from '@/api/types'
import { createSynth } from '@/composables/sound/synth'
import type { GameMusic } from '@/games/gameViews'
import { viewsOf } from '@/games/registry'
import { cueOf, momentOf, PIECE, playsPiece, type Moment } from './cues'

/** Where many light something at once, one signal is enough for so many milliseconds. */
const APART = 1500

export function useSounds(
  view: () => ScreenView | null,
  seconds: () => number | null,
  isOn: Ref<boolean>,
  volume: Ref<number>,
) {
  const synth = createSynth()
  const music = shallowRef<GameMusic<GameName> | null>(null)
  let before: Moment | null = null
  let litAt = 0

  watch(
    () => view()?.game?.game,
    async (game) => (music.value = game ? await viewsOf(game).music() : null),
    { immediate: true },
  )
  watch([isOn, volume], () => synth.set(isOn.value, volume.value), { immediate: true })

  function hear(now: Moment): void {
    const cue = cueOf(before, now)
    before = now
    if (cue === 'lit') {
      if (Date.now() - litAt < APART) return
      litAt = Date.now()
    }
    if (cue) synth.play(cue)
  }
  watch(
    [view, seconds, music, isOn],
    () => {
      const seen = view()
      const board = seen?.board
      const now = momentOf(seen, seconds(), (board && music.value?.lit?.(board)) ?? 0)
      hear(now)
      const plays = isOn.value && playsPiece(now, !!seen?.game)
      synth.setPiece(plays ? (music.value?.piece ?? PIECE) : null)
    },
    { immediate: true },
  )
  onScopeDispose(synth.close)
  return { waits: synth.waits, wake: synth.wake }
}
