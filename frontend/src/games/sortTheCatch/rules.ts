import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (): Rules => ({
  name: t('name'),
  lines: [t('hook'), t('comes_back'), t('first')],
  wins: t('wins'),
})
