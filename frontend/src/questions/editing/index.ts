/** How every kind is written, in one exhaustive list: a kind without an editor does not compile. */
import type { Kind } from '@/api/types'
import { choice } from '../kinds/choice/editing'
import { classify } from '../kinds/classify/editing'
import { gap_fill } from '../kinds/gap_fill/editing'
import { letter } from '../kinds/letter/editing'
import { match } from '../kinds/match/editing'
import { numeric_entry } from '../kinds/numeric_entry/editing'
import { open_response } from '../kinds/open_response/editing'
import { order } from '../kinds/order/editing'
import { page } from '../kinds/page/editing'
import { point } from '../kinds/point/editing'
import { point_split } from '../kinds/point_split/editing'
import { rating_scale } from '../kinds/rating_scale/editing'
import { slider } from '../kinds/slider/editing'
import { text_entry } from '../kinds/text_entry/editing'
import { word_cloud } from '../kinds/word_cloud/editing'
import type { KindEditing } from './kindEditing'

export const editings: Record<Kind, KindEditing> = {
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

export const editingOf = (item: { kind: Kind }): KindEditing => editings[item.kind]
