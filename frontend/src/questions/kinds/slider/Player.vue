<script setup lang="ts">
/** A slider, with buttons that move it by one step. Nothing is chosen until it was moved. */
import { computed, ref } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { plainNumber } from '@/questions/shared/numbers'
import { stepButton } from '@/questions/shared/recipes'
import { language } from '@/words'
import { t } from './words'

const props = defineProps<{
  item: PublicItemOf<'slider'>
  answer: StudentAnswerOf<'slider'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'slider'> | null] }>()

const middle = (): number => {
  const steps = Math.round((props.item.high - props.item.low) / props.item.step / 2)
  return Math.min(props.item.high, props.item.low + steps * props.item.step)
}
const value = ref(props.answer?.value ?? middle())
const touched = ref(props.answer !== null)
const shown = computed(() => `${plainNumber(value.value)} ${props.item.unit}`.trim())

function move(to: number): void {
  value.value = Number(Math.min(props.item.high, Math.max(props.item.low, to)).toPrecision(12))
  touched.value = true
  emit('update', { kind: 'slider', value: value.value })
}
</script>

<template>
  <div>
    <output
      class="figure block text-center text-4xl"
      :class="!touched && 'text-slate'"
      :for="`slider-${item.id}`"
      >{{ touched ? shown : '–' }}</output
    >
    <div class="mt-3 flex items-center gap-3">
      <button
        type="button"
        :class="stepButton"
        :lang="language"
        :aria-label="t('less')"
        :disabled="disabled"
        @click="move(value - item.step)"
      >
        −
      </button>
      <input
        :id="`slider-${item.id}`"
        type="range"
        class="h-11 w-full accent-tide"
        :min="item.low"
        :max="item.high"
        :step="item.step"
        :value="value"
        :lang="language"
        :aria-label="t('your_number', { low: item.low, high: item.high })"
        :aria-valuetext="shown"
        :disabled="disabled"
        @input="move(Number(($event.target as HTMLInputElement).value))"
        @click="move(value)"
      />
      <button
        type="button"
        :class="stepButton"
        :lang="language"
        :aria-label="t('more')"
        :disabled="disabled"
        @click="move(value + item.step)"
      >
        +
      </button>
    </div>
    <div class="mt-1 flex justify-between gap-4 text-[15px] text-slate">
      <span
        >{{ plainNumber(item.low) }} <span data-read="low" dir="auto">{{ item.low_label }}</span></span
      >
      <span class="text-end"
        ><span data-read="high" dir="auto">{{ item.high_label }}</span> {{ plainNumber(item.high) }}</span
      >
    </div>
  </div>
</template>
