import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (): Rules => ({
  name: t('name'),
  lines: [t('draw_one'), t('talk'), t('worth')],
  wins: t('wins'),
})
