<script setup lang="ts">
/** The accepted number, or the ends of the accepted range, and the unit. */
import type { ItemOf } from '@/api/types'
import NumberField from '@/ui/number/NumberField.vue'
import { t } from './words'

type Numeric = ItemOf<'numeric_entry'>
const props = defineProps<{ item: Numeric }>()
const emit = defineEmits<{ update: [item: Numeric] }>()

const set = (change: Partial<Numeric>): void => emit('update', { ...props.item, ...change })
const setTolerance = (value: string | null): void => set({ tolerance: (value ?? '0').replace('-', '') })
</script>

<template>
  <div class="flex flex-wrap items-center gap-2 pt-1 ps-1.5" data-line>
    <template v-if="item.scored && item.accepts === 'range'">
      <label
        >{{ t('from') }}
        <NumberField exact :model-value="item.low ?? null" @update:model-value="set({ low: $event })"
      /></label>
      <label
        >{{ t('to') }}
        <NumberField exact :model-value="item.high ?? null" @update:model-value="set({ high: $event })"
      /></label>
    </template>
    <template v-else-if="item.scored">
      <label
        >{{ t('right') }}
        <NumberField exact :model-value="item.value ?? null" @update:model-value="set({ value: $event })"
      /></label>
      <label v-if="item.accepts !== 'exact'"
        >± <span class="sr-only">{{ t('tolerance') }}</span><NumberField
          exact
          :model-value="item.tolerance ?? '0'"
          @update:model-value="setTolerance"
        />
        {{ item.accepts === 'percent' ? '%' : '' }}</label
      >
    </template>
    <label
      >{{ t('unit') }}
      <input
        type="text"
        maxlength="20"
        :placeholder="t('none')"
        class="w-28 rounded border border-edge bg-sheet px-2 py-1"
        :value="item.unit"
        @input="set({ unit: ($event.target as HTMLInputElement).value })"
    /></label>
  </div>
</template>
