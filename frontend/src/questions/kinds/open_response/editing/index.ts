import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const open_response = defineEditing<'open_response'>({
  label: () => t('label'),
  hint: () => t('hint'),
  isOpinionOnly: true,
  starts: () => ({ time_limit: 180 }),
  editor: async () => (await import('./Editor.vue')).default,
})
