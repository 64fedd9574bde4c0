import type { GameOf } from '@/api/types'
import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (game: GameOf<'island'>): Rules => ({
  name: t('name'),
  lines: [
    t(game.made === 'room' ? 'rolls_in_room' : 'rolls'),
    t('goes_on'),
    t(game.events && game.made !== 'room' ? 'events' : 'no_events'),
  ],
  wins: t('wins'),
})
