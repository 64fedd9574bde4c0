import { defineEditing } from '@/questions/editing/kindEditing'
import { t } from './words'

export const gap_fill = defineEditing<'gap_fill'>({
  label: () => t('label'),
  hint: () => t('hint'),
  starts: () => ({ time_limit: 90 }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  typedParts: (item) =>
    item.way === 'typed'
      ? (item.text?.match(/\[[^[\]]*\]/g) ?? []).map((_, at) => ({
          part: String(at + 1),
          name: t('gap', { number: at + 1 }),
        }))
      : [],
})
