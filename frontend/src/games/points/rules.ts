import type { GameOf } from '@/api/types'
import type { Rules } from '../gameViews'
import { t } from './words'

export function rules(game: GameOf<'points'>): Rules {
  const { early_bonus: early, run_bonus: run } = game
  const more = early && run ? 'more_both' : early ? 'more_early' : run ? 'more_run' : 'no_hurry'
  return { name: t('name'), lines: [t('look_up'), t('points'), t(more)], wins: t('wins') }
}
