<script setup lang="ts">
/** How far the marking is, question by question. */
import { computed } from 'vue'
import type { ToMark } from '@/api/types'
import LineText from '@/questions/shared/LineText.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{
  questions: readonly ToMark[]
  /** Index of the question that is marked. */
  at: number
  done: { marked: number; all: number }
}>()
const emit = defineEmits<{ go: [question: number] }>()
const told = computed(() =>
  props.done.marked === props.done.all
    ? t('all_are_marked', { all: props.done.all })
    : t('of_marked', { marked: props.done.marked, all: props.done.all }),
)
</script>

<template>
  <nav :aria-label="t('questions_to_mark')">
    <p class="font-bold" role="status">{{ told }}</p>
    <div class="mt-1 mb-3 h-1.5 bg-mist" aria-hidden="true">
      <div class="h-full bg-tide" :style="{ width: `${(done.marked / Math.max(1, done.all)) * 100}%` }" />
    </div>
    <ul>
      <li v-for="(one, index) in questions" :key="one.item" class="border-t border-rule">
        <button
          type="button"
          class="w-full px-2 py-2 text-start text-[15px]"
          :class="index === at ? 'bg-tide-wash font-bold' : 'hover:bg-tide-wash/50'"
          :aria-current="index === at"
          @click="emit('go', index)"
        >
          <span class="line-clamp-2 wrap-anywhere"
            >{{ one.number }} <LineText :text="one.title || common('asked_aloud')"
          /></span>
          <span class="block text-sm font-normal text-slate">{{
            t('of_3', { waiting: one.answered - one.waiting, answered: one.answered })
          }}</span>
        </button>
      </li>
    </ul>
  </nav>
</template>
