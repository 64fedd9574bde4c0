<script setup lang="ts">
import { newId } from '@/api/ids'
import type { ItemOf } from '@/api/types'
import LineList from '@/questions/editing/LineList.vue'
import NumberField from '@/ui/number/NumberField.vue'
import { t } from './words'

type Split = ItemOf<'point_split'>
const props = defineProps<{ item: Split }>()
const emit = defineEmits<{ update: [item: Split] }>()

const set = (change: Partial<Split>): void => emit('update', { ...props.item, ...change })

function setTotal(value: number | null): void {
  if (value !== null && value >= 2 && value <= 1000) set({ total: Math.round(value) })
}
</script>

<template>
  <div>
    <LineList
      :lines="item.options ?? []"
      :label="t('option')"
      by="letter"
      :fewest="2"
      :most="10"
      :blank="() => ({ id: newId(8), text: '' })"
      @update="set({ options: $event })"
    />
    <label class="mt-2 block ps-1.5"
      >{{ t('points_to_share_out') }}
      <NumberField :model-value="item.total ?? 10" class="w-20!" @update:model-value="setTotal"
    /></label>
  </div>
</template>
