/** What a light costs whoever has these shells and parts. */
import type { OwnLightInfo } from '@/api/types'
import { partsOf, type Part } from '@/lights/forms'

const priceOf = (info: OwnLightInfo, part: Part, form: number): number =>
  info.offers?.find((one) => one.part === part)?.prices[form] ?? 0

/** Whether it is free, or theirs. */
export const mayHave = (info: OwnLightInfo, part: Part, form: number): boolean =>
  !priceOf(info, part, form) || info.parts.includes(`${part}.${form}`)

/** The forms of a part that are free, or theirs. */
export const cheapest = (info: OwnLightInfo, part: Part): number[] =>
  (info.offers?.find((one) => one.part === part)?.prices ?? [0]).flatMap((_, form) =>
    mayHave(info, part, form) ? [form] : [],
  )

export const costs = (info: OwnLightInfo, light: string): number =>
  partsOf(light).reduce(
    (sum, [part, form]) => sum + (mayHave(info, part, form) ? 0 : priceOf(info, part, form)),
    0,
  )
