<script setup lang="ts">
/** An item in short: its words, and the texts that stand in it. Knows no kind. */
import { computed } from 'vue'
import type { Item } from '@/api/types'
import { editings } from '@/questions/editing'
import LineText from '@/questions/shared/LineText.vue'
import { plainText } from '@/questions/shared/richtext'
import { t } from '@/questions/editing/words'

const props = defineProps<{ item: Item }>()

/** Every text inside, in the order it is written, with a tick where it is marked as right. */
function textsIn(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap((one) => (typeof one === 'string' ? [one] : textsIn(one)))
  if (!value || typeof value !== 'object') return []
  const { text, left, right, name } = value as Record<string, unknown>
  if (typeof left === 'string') return [`${left} – ${String(right)}`]
  if (typeof text === 'string') return text && right === true ? [`✓ ${text}`] : [text]
  return typeof name === 'string' ? [name] : []
}

/** A number with what it may be off by, or the range that is right, and its unit. */
function numberIn(item: Record<string, unknown>): string {
  const { accepts, value, tolerance, low, high, unit } = item
  if (accepts === 'range') return `✓ ${String(low)} – ${String(high)} ${String(unit ?? '')}`
  const off =
    { absolute: ` ± ${String(tolerance)}`, percent: ` ± ${String(tolerance)} %` }[String(accepts)] ?? ''
  return `✓ ${String(value)}${off} ${String(unit ?? '')}`
}

const COMMON = new Set(['prompt', 'tags', 'explanation'])
const inside = computed(() =>
  Object.entries(props.item)
    .filter(([key]) => !COMMON.has(key))
    .flatMap(([key, value]) => {
      if (key === 'text' && typeof value === 'string') return [value]
      const item = props.item as unknown as Record<string, unknown>
      const isNumber = value !== null && key === (item['accepts'] === 'range' ? 'low' : 'value')
      return isNumber ? [numberIn(item)] : textsIn(value)
    })
    .map(plainText)
    .filter(Boolean)
    .join(' · '),
)
</script>

<template>
  <p class="text-sm text-slate">{{ editings[item.kind].label() }}</p>
  <p class="leading-snug font-bold wrap-anywhere">
    <LineText :text="plainText(item.prompt ?? '') || t('no_words_yet')" />
  </p>
  <p v-if="inside" class="text-[15px] wrap-anywhere"><LineText :text="inside" /></p>
</template>
