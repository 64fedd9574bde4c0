import { newId } from '@/api/ids'
import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const rating_scale = defineEditing<'rating_scale'>({
  label: () => t('label'),
  hint: () => t('hint'),
  isOpinionOnly: true,
  starts: () => ({
    time_limit: 90,
    statements: [0, 1].map(() => ({ id: newId(8), text: '' })),
  }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
})
