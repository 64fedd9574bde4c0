import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const text_entry = defineEditing<'text_entry'>({
  label: () => t('label'),
  hint: () => t('hint'),
  starts: () => ({ time_limit: 60, accepts: [''] }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  typedParts: () => [{ part: '', name: '' }],
})
