/** What the parts of a board of pairs look like, and what each is called. */
import type { Media } from '@/api/types'
import { textOf } from '@/composables/text'
import { t } from './words'

interface Line {
  id: string
  html: string
  media?: Media | null
}
export interface Face {
  html: string
  media: Media | null
  /** In words: its text, else what it shows, else which of those that have none it is. */
  said: string
}

/** The parts by their ids. A sound is not told in words: who cannot hear it can read it where it is played. */
export function facesOf(lines: readonly Line[]): Map<string, Face> {
  const unnamed: Record<string, number> = {}
  return new Map(
    lines.map(({ id, html, media = null }) => {
      const text = textOf(html) || (media && 'description' in media ? media.description : '') || ''
      const number = media && !text ? (unnamed[media.type!] = (unnamed[media.type!] ?? 0) + 1) : 0
      return [id, { html, media, said: text || (media ? mediaSaid(media, number) : '') }]
    }),
  )
}

const mediaSaid = (media: Media, number: number): string =>
  t(media.type === 'sound' ? 'sound' : media.type === 'video' ? 'film' : 'picture', { number })

/** Whether it is played, and not looked at. */
export const isPlayed = (media: Media | null | undefined): boolean =>
  media?.type === 'sound' || media?.type === 'video'
