<script setup lang="ts">
/** The grades, and from which percentage on each of them is given. */
import { ref, watch } from 'vue'
import type { BookDetail, GradeScheme } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import { smallField } from '@/ui/recipes'
import { t } from './words'

const props = defineProps<{ scheme: GradeScheme; grades: BookDetail['book']['grades'] }>()
const emit = defineEmits<{ change: [changes: Partial<GradeScheme>] }>()
/** As it is typed: a line without a grade is none yet. */
const lines = ref<{ at_least: number; grade: string }[]>([])
watch(
  () => props.scheme.scale,
  (scale) => {
    lines.value = scale.map((bound) => ({ ...bound }))
  },
  { immediate: true },
)

function keep(): void {
  const scale = lines.value
    .filter((line) => line.grade.trim())
    .map((line) => ({
      at_least: Math.min(100, Math.max(0, Number(line.at_least) || 0)),
      grade: line.grade.trim(),
    }))
  emit('change', { scale })
}
function add(): void {
  const lowest = lines.value.at(-1)?.at_least ?? 100
  lines.value.push({ at_least: Math.max(0, lowest - 10), grade: '' })
}
function drop(at: number): void {
  lines.value.splice(at, 1)
  keep()
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4.5 py-3.5" aria-labelledby="scale">
    <h2 id="scale" class="text-lg">{{ t('grades') }}</h2>
    <p v-if="!lines.length" class="text-[15px] text-slate">
      {{ t('without_bounds_totals_stay_percentages_add') }}
    </p>
    <ul class="mt-1 space-y-1 text-[15px]">
      <li v-for="(line, at) in lines" :key="at" class="flex items-center gap-2">
        <input
          v-model="line.grade"
          maxlength="12"
          :aria-label="t('grade_2', { number: at + 1 })"
          :class="smallField"
          class="w-20"
          @change="keep"
        />
        {{ t('from') }}
        <input
          v-model.number="line.at_least"
          type="number"
          min="0"
          max="100"
          step="0.5"
          :aria-label="
            t('percentage_from_which_is_given', { grade: line.grade || t('grade_3', { number: at + 1 }) })
          "
          :class="smallField"
          class="w-18"
          @change="keep"
        />
        %
        <span class="grow text-end text-slate tabular-nums">{{ grades[at]?.[1] ?? '' }}</span>
        <button
          type="button"
          class="px-1 text-slate hover:text-wrong"
          :aria-label="t('remove_grade', { grade: line.grade || at + 1 })"
          @click="drop(at)"
        >
          ✕
        </button>
      </li>
    </ul>
    <UiButton class="mt-2" look="plain" size="small" :disabled="lines.length >= 30" @click="add">{{
      t('add_a_grade')
    }}</UiButton>
  </section>
</template>
