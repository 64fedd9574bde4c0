import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (): Rules => ({
  name: t('name'),
  lines: [t('hidden'), t('touch'), t('costs_nothing')],
  wins: t('wins'),
})
