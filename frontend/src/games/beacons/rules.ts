import type { GameOf } from '@/api/types'
import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (game: GameOf<'beacons'>): Rules => ({
  name: t('name'),
  lines: [t('each_answers'), t('lights'), t('mean')],
  wins: t(game.ends === 'first' ? 'wins_first' : 'wins_furthest'),
})
