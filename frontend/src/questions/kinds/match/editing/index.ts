import { newId } from '@/api/ids'
import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const match = defineEditing<'match'>({
  label: () => t('label'),
  hint: () => t('hint'),
  starts: () => ({
    time_limit: 90,
    pairs: [0, 1, 2].map(() => ({ id: newId(8), left: '', partner_id: newId(8), right: '' })),
  }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
})
