/** Every kind's views, in one exhaustive list: a kind without views does not compile. */
import type { Kind } from '@/api/types'
import type { KindViews } from './kindViews'
import { choice } from './kinds/choice'
import { classify } from './kinds/classify'
import { gap_fill } from './kinds/gap_fill'
import { letter } from './kinds/letter'
import { match } from './kinds/match'
import { numeric_entry } from './kinds/numeric_entry'
import { open_response } from './kinds/open_response'
import { order } from './kinds/order'
import { page } from './kinds/page'
import { point } from './kinds/point'
import { point_split } from './kinds/point_split'
import { rating_scale } from './kinds/rating_scale'
import { slider } from './kinds/slider'
import { text_entry } from './kinds/text_entry'
import { word_cloud } from './kinds/word_cloud'

export const registry: Record<Kind, KindViews> = {
  choice,
  text_entry,
  numeric_entry,
  slider,
  order,
  match,
  classify,
  point,
  gap_fill,
  open_response,
  word_cloud,
  rating_scale,
  point_split,
  letter,
  page,
}

export const KINDS = Object.keys(registry) as Kind[]
export const viewsOf = (item: { kind: Kind }): KindViews => registry[item.kind]
