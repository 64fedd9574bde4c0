<script setup lang="ts">
/** Points are added and taken away; the answer is ready when none is left. */
import { computed, ref } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { stepButton } from '@/questions/shared/recipes'
import { textOf } from '@/questions/shared/lines'
import { language } from '@/words'
import { t } from './words'

const props = defineProps<{
  item: PublicItemOf<'point_split'>
  answer: StudentAnswerOf<'point_split'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'point_split'> | null] }>()

const points = ref<Record<string, number>>(
  Object.fromEntries(
    props.item.options.map((option) => [
      option.id,
      props.answer?.portions.find((portion) => portion.option === option.id)?.points ?? 0,
    ]),
  ),
)
const left = computed(() => props.item.total - Object.values(points.value).reduce((sum, one) => sum + one, 0))
const step = computed(() => Math.max(1, Math.round(props.item.total / 20)))

function set(id: string, value: number): void {
  const most = points.value[id]! + left.value
  points.value = { ...points.value, [id]: Math.min(most, Math.max(0, Math.round(value || 0))) }
  const portions = props.item.options.map((option) => ({
    option: option.id,
    points: points.value[option.id]!,
  }))
  emit('update', left.value === 0 ? { kind: 'point_split', portions } : null)
}
</script>

<template>
  <fieldset :disabled="disabled" class="space-y-2.5">
    <legend class="mb-2 text-lg" :lang="language" dir="auto">
      <b class="figure text-2xl">{{ left }}</b> {{ t('left_to_share', { total: item.total }) }}
    </legend>
    <div
      v-for="option in item.options"
      :key="option.id"
      class="flex flex-wrap items-center gap-2 rounded border border-edge bg-sheet px-3 py-2"
    >
      <label
        :for="`split-${option.id}`"
        :data-read="option.id"
        class="prose min-w-32 flex-1 text-lg leading-snug"
        dir="auto"
        v-html="option.html"
      />
      <button
        type="button"
        :class="stepButton"
        :lang="language"
        :aria-label="t('fewer', { line: textOf(option.html) })"
        :disabled="disabled || !points[option.id]"
        @click="set(option.id, points[option.id]! - step)"
      >
        −
      </button>
      <input
        :id="`split-${option.id}`"
        type="text"
        inputmode="numeric"
        class="figure h-11 w-14 rounded border border-edge bg-sheet text-center text-lg"
        :value="points[option.id]"
        @change="set(option.id, Number(($event.target as HTMLInputElement).value))"
      />
      <button
        type="button"
        :class="stepButton"
        :lang="language"
        :aria-label="t('more', { line: textOf(option.html) })"
        :disabled="disabled || left === 0"
        @click="set(option.id, points[option.id]! + step)"
      >
        +
      </button>
    </div>
  </fieldset>
</template>
