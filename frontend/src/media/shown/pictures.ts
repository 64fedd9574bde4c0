const WIDTHS = [480, 960, 1600] as const

type Stored = { media: string }

export const pictureUrl = (picture: Stored, width: (typeof WIDTHS)[number]): string =>
  `/media/${picture.media}/${width}.webp`

export const pictureSet = (picture: Stored): string =>
  WIDTHS.map((width) => `${pictureUrl(picture, width)} ${width}w`).join(', ')

export const fileUrl = (stored: Stored, type: 'sound' | 'video'): string => `/media/${stored.media}/${type}`
export const captionsUrl = (captions: string): string => `/media/${captions}/captions.vtt`
