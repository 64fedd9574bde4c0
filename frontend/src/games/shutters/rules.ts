import type { Rules } from '../gameViews'
import { t } from './words'

export const rules = (): Rules => ({
  name: t('name'),
  lines: [t('open_two'), t('stay'), t('counts')],
  wins: t('wins'),
})
