<script setup lang="ts">
/** The lines in their right order. */
import { newId } from '@/api/ids'
import type { ItemOf } from '@/api/types'
import LineList from '@/questions/editing/LineList.vue'
import { smallField } from '@/ui/recipes'
import { t } from './words'

type Order = ItemOf<'order'>
const props = defineProps<{ item: Order }>()
const emit = defineEmits<{ update: [item: Order] }>()

const set = (change: Partial<Order>): void => emit('update', { ...props.item, ...change })

function swap(index: number): void {
  const lines = [...(props.item.lines ?? [])]
  lines.splice(index - 1, 2, lines[index]!, lines[index - 1]!)
  set({ lines })
}
</script>

<template>
  <div>
    <p class="ps-1.5 text-[15px] text-slate">
      {{ item.scored ? t('in_the_right_order_students_see') : t('students_rank_them') }}
    </p>
    <LineList
      :lines="item.lines ?? []"
      :label="t('line')"
      :fewest="2"
      :most="12"
      :blank="() => ({ id: newId(8), text: '' })"
      @update="set({ lines: $event })"
    >
      <template #before="{ index }"
        ><span class="mt-1.5 w-6 text-center font-bold text-slate" aria-hidden="true">{{
          index + 1
        }}</span></template
      >
      <template #after="{ index }"
        ><button
          v-if="index > 0"
          type="button"
          class="mt-1 size-7 rounded text-slate opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 focus-visible:opacity-100"
          :aria-label="t('move_line_up', { number: index + 1 })"
          @click="swap(index)"
        >
          ↑
        </button></template
      >
    </LineList>
    <div class="mt-2 flex flex-wrap gap-2 ps-1.5 text-[15px]">
      <label v-for="end in ['first', 'last'] as const" :key="end"
        >{{ end === 'first' ? t('words_for_the_first') : t('words_for_the_last') }}
        <input
          type="text"
          maxlength="60"
          :placeholder="t('none')"
          class="w-36"
          :class="smallField"
          :value="item[`${end}_label`]"
          @input="set({ [`${end}_label`]: ($event.target as HTMLInputElement).value })"
      /></label>
    </div>
  </div>
</template>
