import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (): Rules => ({
  name: t('name'),
  lines: [t('join'), t('lights'), t('first')],
  wins: t('wins'),
})
