import type { OwnBoardOf } from '@/api/types'
import { teamName } from '../shared/teams/teams'
import { t } from './words'

type Leg = NonNullable<OwnBoardOf<'island'>['last']>

/** What came of the last roll, in sentences; nothing where teams answer aloud, and the teacher moves boats. */
export function legSaid({ team, rolled, knew, event }: Leg): string[] {
  const name = teamName(team)
  const went = knew ? t('went_on', { name, n: rolled }) : t('stays', { name })
  return event ? [went, t(`met_${event}`)] : [went]
}

export const rolledSaid = (team: number, n: number): string => t('has_rolled', { name: teamName(team), n })
