/** The choices that a session was run with, in words. */
import type { GameName, SessionReport } from '@/api/types'
import { KNOWN } from '@/composables/known'
import { viewsOf } from '@/games/registry'

type Chosen = SessionReport['settings']

const FEEDBACK: Record<NonNullable<Chosen['feedback']>, string> = {
  each: 'What was right was told after each question.',
  handed_in: 'What was right was told once one had handed in.',
  end: 'What was right was told at the end.',
  opened: 'What was right was told once you had opened it.',
  never: 'What was right was not told.',
}

/** `game` is the name of what was played, empty for nothing. */
export function howItWasRun(settings: Chosen, game: string): string[] {
  const led = settings.manner !== 'own_pace'
  const final = settings.answers === 'final' ? 'an answer was final' : 'answers could be changed'
  return [
    `${led ? 'You led it' : 'At their own pace'}; ${final}.`,
    FEEDBACK[settings.feedback ?? 'each'],
    `Students were known by ${KNOWN[settings.known ?? 'nickname'].label}.`,
    ...(game ? [`It was played as ${viewsOf(game as GameName).label}.`] : []),
    ...(settings.mix_options ? ['Options were mixed.'] : []),
    ...(settings.mix_questions ? ['Questions were mixed.'] : []),
  ]
}
