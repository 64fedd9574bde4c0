/** What all games of pairs say. */
import { t } from './words'

export const foundOf = (found: number, pairs: number): string => t('found_of', { found, pairs })

/** How a sound of the board is heard. */
export const hearHow = (): string => t('touch_to_hear')

/** How a try went. */
export const wentSaid = (fits: boolean, left: string, right: string): string =>
  fits ? t('belong', { left, right }) : t('apart', { left, right })

/** Of a board of the room: how many have all of it, and the whole of it for who cannot see it. */
export const finishedSaid = (finished: number, players: number): string =>
  t('finished', { finished, players })
export const boardSaid = (number: number, found: number, all: number, finished: number): string =>
  t('board', { number, found, all, finished })
