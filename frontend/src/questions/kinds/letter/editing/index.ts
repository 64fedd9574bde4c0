import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const letter = defineEditing<'letter'>({
  label: () => t('label'),
  hint: () => t('hint'),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
})
