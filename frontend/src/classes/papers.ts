/** What can be printed on. */
import { t } from './words'

export type Paper = 'a4' | 'us-letter'
export const papers = (): Record<Paper, string> => ({ a4: 'A4', 'us-letter': t('letter') })
export const ON_A_PAGE = [8, 24] as const
