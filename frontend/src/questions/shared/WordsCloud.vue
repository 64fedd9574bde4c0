<script setup lang="ts">
/** Words in the size of their count. */
import { computed } from 'vue'

export interface CountedWord {
  text: string
  count: number
  right?: boolean
}

const props = defineProps<{ words: readonly CountedWord[] }>()
const sized = computed(() => {
  const most = Math.max(1, ...props.words.map((word) => word.count))
  return props.words.map((word) => ({
    ...word,
    size: `${0.85 + 1.15 * Math.sqrt(most > 1 ? (word.count - 1) / (most - 1) : 0)}em`,
  }))
})
</script>

<template>
  <ul
    class="flex flex-wrap items-baseline gap-x-[0.9em] gap-y-[0.2em] rounded border border-line bg-strip px-[0.6em] py-[0.4em]"
  >
    <li v-for="word in sized" :key="word.text" dir="auto">
      <span
        class="figure leading-tight wrap-anywhere"
        :class="word.right && 'rounded bg-lamp px-[0.2em] text-ink'"
        :style="{ fontSize: word.size }"
        ><span v-if="word.right" aria-hidden="true">✓</span> {{ word.text }}</span
      ><span class="ms-[0.25em] text-soft">{{ word.count }}</span>
    </li>
  </ul>
</template>
