<script setup lang="ts">
/** The scale and what is right on it. */
import type { ItemOf } from '@/api/types'
import NumberField from '@/ui/number/NumberField.vue'
import { smallField } from '@/ui/recipes'
import { t } from './words'

type Slider = ItemOf<'slider'>
const props = defineProps<{ item: Slider }>()
const emit = defineEmits<{ update: [item: Slider] }>()

const set = (change: Partial<Slider>): void => emit('update', { ...props.item, ...change })
const text = (event: Event): string => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="space-y-2 pt-1 ps-1.5" data-line>
    <div class="flex flex-wrap items-center gap-2">
      <label
        >{{ t('scale_from') }}
        <NumberField :model-value="item.low ?? 0" @update:model-value="set({ low: $event ?? 0 })"
      /></label>
      <label
        >{{ t('to') }}
        <NumberField :model-value="item.high ?? 100" @update:model-value="set({ high: $event ?? 0 })"
      /></label>
      <label
        >{{ t('in_steps_of') }}
        <NumberField
          :model-value="item.step ?? 1"
          @update:model-value="set({ step: Math.abs($event ?? 1) || 1 })"
      /></label>
      <label
        >{{ t('unit') }}
        <input
          type="text"
          maxlength="20"
          :placeholder="t('none')"
          class="w-24"
          :class="smallField"
          :value="item.unit"
          @input="set({ unit: text($event) })"
      /></label>
    </div>
    <div v-if="item.scored" class="flex flex-wrap items-center gap-2">
      <label
        >{{ t('right_from') }}
        <NumberField :model-value="item.right_low ?? null" @update:model-value="set({ right_low: $event })"
      /></label>
      <label
        >{{ t('to') }}
        <NumberField :model-value="item.right_high ?? null" @update:model-value="set({ right_high: $event })"
      /></label>
    </div>
    <div class="flex flex-wrap items-center gap-2">
      <label v-for="end in ['low', 'high'] as const" :key="end"
        >{{ end === 'low' ? t('words_at_the_low_end') : t('words_at_the_high_end') }}
        <input
          type="text"
          maxlength="60"
          :placeholder="t('none')"
          class="w-40"
          :class="smallField"
          :value="item[`${end}_label`]"
          @input="set({ [`${end}_label`]: text($event) })"
      /></label>
    </div>
  </div>
</template>
