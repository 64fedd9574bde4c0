import { defineKind } from '../../kindViews'
import { t } from './words'

export const page = defineKind<'page'>({
  isAsked: false,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: () => '',
  inWords: () => '',
})
