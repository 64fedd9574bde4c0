import { newId } from '@/api/ids'
import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const choice = defineEditing<'choice'>({
  label: () => t('label'),
  hint: () => t('hint'),
  starts: () => ({ options: [0, 1].map(() => ({ id: newId(8), text: '', right: false })) }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
})
