import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const point = defineEditing<'point'>({
  label: () => t('label'),
  hint: () => t('hint'),
  starts: () => ({ time_limit: 60 }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
})
