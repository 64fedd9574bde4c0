import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const slider = defineEditing<'slider'>({
  label: () => t('label'),
  hint: () => t('hint'),
  starts: () => ({ time_limit: 45 }),
  editor: async () => (await import('./Editor.vue')).default,
})
