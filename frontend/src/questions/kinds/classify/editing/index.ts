import { newId } from '@/api/ids'
import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const classify = defineEditing<'classify'>({
  label: () => t('label'),
  hint: () => t('hint'),
  starts: () => {
    const groups = [0, 1].map(() => ({ id: newId(8), text: '' }))
    const members = groups.map((group) => ({ id: newId(8), text: '', group: group.id }))
    return { time_limit: 90, groups, members }
  },
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
})
