import { t } from './words'

type TeamKey = Extract<Parameters<typeof t>[0], `team_${number}`>

/** What a team is called, by its number from 1: a bird of the coast, in the language that is spoken. */
export const teamName = (number: number): string => t(`team_${number}` as TeamKey)

export const teamTitle = (number: number): string => t('team', { name: teamName(number) })
export const membersSaid = (n: number): string => t('members', { n })
export const placeSaid = (place: number, teams: number): string => t('place', { place, teams })
