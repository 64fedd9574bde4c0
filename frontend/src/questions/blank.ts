/** Empty items: the schema's defaults, and what a kind starts with. */
import defaults from '@/api/defaults.json'
import type { Item, Kind } from '@/api/types'
import { registry } from './registry'

export const blankItem = (kind: Kind, id: string): Item =>
  ({ ...defaults.items[kind], id, ...registry[kind].starts?.() }) as Item
