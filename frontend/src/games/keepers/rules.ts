import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (): Rules => ({
  name: t('name'),
  lines: [t('earn'), t('spend'), t('comes_back')],
  wins: t('wins'),
})
