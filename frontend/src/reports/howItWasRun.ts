/** The choices that a session was run with, in words. */
import type { GameName, SessionReport } from '@/api/types'
import { knownBy } from '@/composables/known'
import { deskOf } from '@/games/desks'
import { t } from './words'

type Chosen = SessionReport['settings']

const feedback = (): Record<NonNullable<Chosen['feedback']>, string> => ({
  each: t('what_was_right_was_told_after'),
  handed_in: t('what_was_right_was_told_once'),
  end: t('what_was_right_was_told'),
  opened: t('what_was_right_was_told_once_2'),
  never: t('what_was_right_was_not_told'),
})

/** `game` is the name of what was played, empty for nothing. */
export function howItWasRun(settings: Chosen, game: string): string[] {
  const led = settings.manner !== 'own_pace'
  const final = settings.answers === 'final' ? t('an_answer_was_final') : t('answers_could_be_changed')
  return [
    `${led ? t('you_led_it') : t('at_their_own_pace')}; ${final}.`,
    feedback()[settings.feedback ?? 'each'],
    t('students_were_known_by', { known: knownBy()[settings.known ?? 'nickname'].label }),
    ...(game ? [t('it_was_played_as', { game: deskOf(game as GameName).label() })] : []),
    ...(settings.mix_options ? [t('options_were_mixed')] : []),
    ...(settings.mix_questions ? [t('questions_were_mixed')] : []),
  ]
}
