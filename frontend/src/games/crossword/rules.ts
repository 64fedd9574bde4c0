import type { GameOf } from '@/api/types'
import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (game: GameOf<'crossword'>): Rules => ({
  name: t('name'),
  lines: [t('answers'), t('letters'), t(game.together ? 'together' : 'alone')],
  wins: t(game.together ? 'wins_together' : 'wins'),
})
