import type { GameOf } from '@/api/types'
import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (game: GameOf<'soundings'>): Rules => ({
  name: t('name'),
  lines: [
    t('far_out'),
    t(game.claims === 'signal' ? 'first_signals' : 'chooses'),
    t(game.made === 'room' ? 'in_the_room' : 'half'),
  ],
  wins: t('wins'),
})
