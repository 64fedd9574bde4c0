import { defineKind } from '../../kindViews'
import { t } from './words'

export const page = defineKind<'page'>({
  label: 'Information page',
  hint: 'something to read, nothing to answer',
  isAsked: false,
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: () => '',
  inWords: () => '',
})
