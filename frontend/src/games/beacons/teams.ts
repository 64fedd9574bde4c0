import { t } from './words'

type TeamKey = Extract<Parameters<typeof t>[0], `team_${number}`>

/** What a team is called, by its number from 1: a bird of the coast, in the language that is spoken. */
export const teamName = (number: number): string => t(`team_${number}` as TeamKey)

/** How many beacons are lit whole. */
export const lit = (light: number): number => Math.floor(light + 1e-6)
