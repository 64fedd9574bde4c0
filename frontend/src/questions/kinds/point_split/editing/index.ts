import { newId } from '@/api/ids'
import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const point_split = defineEditing<'point_split'>({
  label: () => t('label'),
  hint: () => t('hint'),
  isOpinionOnly: true,
  starts: () => ({
    time_limit: 90,
    options: [0, 1].map(() => ({ id: newId(8), text: '' })),
  }),
  editor: async () => (await import('./Editor.vue')).default,
})
