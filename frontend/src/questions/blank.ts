/** Empty items: the schema's defaults, and what a kind starts with. */
import defaults from '@/api/defaults.json'
import type { Item, Kind } from '@/api/types'
import { editings } from './editing'

export const blankItem = (kind: Kind, id: string): Item =>
  ({ ...defaults.items[kind], id, ...editings[kind].starts?.() }) as Item
