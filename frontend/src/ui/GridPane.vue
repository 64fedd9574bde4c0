<script setup lang="ts">
/** One pane of the wall: lit, half lit, dark or empty. Light and glyph, never colour alone. */
import { computed } from 'vue'
import { fraction } from '@/composables/format'
import { t } from './words'

const props = defineProps<{
  /** A mark in 0..1, a short text that carries no mark, or null for no answer. */
  value: number | string | null
  hidden?: boolean
  /** Shown in place of the glyph; the look stays that of the mark. */
  text?: string
}>()

const pane = computed(() => {
  const { value } = props
  if (props.hidden && value !== null) return { glyph: '•', words: t('answered'), look: 'bg-mist text-ink' }
  if (value === null) return { glyph: '·', words: t('no_answer'), look: 'text-slate' }
  if (typeof value === 'string') return { glyph: value, words: value, look: 'text-slate' }
  if (value >= 1) return { glyph: '✓', words: t('right'), look: 'bg-lamp-pane text-ink' }
  if (value <= 0) return { glyph: '✗', words: t('wrong'), look: 'bg-dark-pane text-sheet' }
  return {
    glyph: fraction(value),
    words: t('part_right', { share: Math.round(value * 100) }),
    look: 'half text-ink',
  }
})
</script>

<template>
  <span class="flex h-full min-h-7 items-center justify-center text-sm whitespace-nowrap" :class="pane.look">
    <span :aria-hidden="!text" :class="text && 'px-1'">{{ text ?? pane.glyph }}</span><span
      v-if="text !== value"
      class="sr-only"
      >{{ text ? `, ${pane.words}` : pane.words }}</span
    >
  </span>
</template>

<style scoped>
.half {
  background: linear-gradient(to top, var(--color-lamp-pane) 50%, var(--color-mist) 50%);
}
</style>
