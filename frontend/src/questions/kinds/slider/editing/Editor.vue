<script setup lang="ts">
/** The scale and what is right on it. */
import type { ItemOf } from '@/api/types'
import NumberField from '@/ui/number/NumberField.vue'
import { smallField } from '@/ui/recipes'

type Slider = ItemOf<'slider'>
const props = defineProps<{ item: Slider }>()
const emit = defineEmits<{ update: [item: Slider] }>()

const set = (change: Partial<Slider>): void => emit('update', { ...props.item, ...change })
const text = (event: Event): string => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="space-y-2 pt-1 pl-1.5" data-line>
    <div class="flex flex-wrap items-center gap-2">
      <label
        >Scale from <NumberField :model-value="item.low ?? 0" @update:model-value="set({ low: $event ?? 0 })"
      /></label>
      <label
        >to <NumberField :model-value="item.high ?? 100" @update:model-value="set({ high: $event ?? 0 })"
      /></label>
      <label
        >in steps of
        <NumberField
          :model-value="item.step ?? 1"
          @update:model-value="set({ step: Math.abs($event ?? 1) || 1 })"
      /></label>
      <label
        >Unit
        <input
          type="text"
          maxlength="20"
          placeholder="none"
          class="w-24"
          :class="smallField"
          :value="item.unit"
          @input="set({ unit: text($event) })"
      /></label>
    </div>
    <div v-if="item.scored" class="flex flex-wrap items-center gap-2">
      <label
        >Right from
        <NumberField :model-value="item.right_low ?? null" @update:model-value="set({ right_low: $event })"
      /></label>
      <label
        >to
        <NumberField :model-value="item.right_high ?? null" @update:model-value="set({ right_high: $event })"
      /></label>
    </div>
    <div class="flex flex-wrap items-center gap-2">
      <label v-for="end in ['low', 'high'] as const" :key="end"
        >Words at the {{ end }} end
        <input
          type="text"
          maxlength="60"
          placeholder="none"
          class="w-40"
          :class="smallField"
          :value="item[`${end}_label`]"
          @input="set({ [`${end}_label`]: text($event) })"
      /></label>
    </div>
  </div>
</template>
