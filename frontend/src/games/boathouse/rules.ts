import type { GameOf } from '@/api/types'
import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (game: GameOf<'boathouse'>): Rules => ({
  name: t('name'),
  lines: [t(game.made === 'alone' ? 'behind' : 'behind_team'), t('comes_back'), t('lanterns_here')],
  wins: t('wins'),
})
