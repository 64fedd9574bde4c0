import { newId } from '@/api/ids'
import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const order = defineEditing<'order'>({
  label: () => t('label'),
  hint: () => t('hint'),
  starts: () => ({ time_limit: 90, lines: [0, 1, 2].map(() => ({ id: newId(8), text: '' })) }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
})
