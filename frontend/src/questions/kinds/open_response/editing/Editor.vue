<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import RubricLines from '@/questions/editing/RubricLines.vue'
import NumberField from '@/ui/number/NumberField.vue'
import { t } from './words'

type Open = ItemOf<'open_response'>
const props = defineProps<{ item: Open }>()
const emit = defineEmits<{ update: [item: Open] }>()

const set = (change: Partial<Open>): void => emit('update', { ...props.item, ...change })

function setLongest(value: number | null): void {
  if (value !== null && value >= 20 && value <= 2000) set({ longest: Math.round(value) })
}
</script>

<template>
  <div class="space-y-1.5 pt-1 ps-1.5">
    <p data-line>
      {{ t('students_write_a_text_of_their') }}
      <label
        >{{ t('at_most') }}
        <NumberField :model-value="item.longest ?? 500" class="w-20!" @update:model-value="setLongest" />
        {{ t('characters') }}</label
      >
    </p>
    <label class="flex items-center gap-2"
      ><input
        type="checkbox"
        class="size-4 accent-tide"
        :checked="item.by_hand"
        @change="set({ by_hand: ($event.target as HTMLInputElement).checked })"
      />{{ t('i_mark_the_answers_by_hand') }}</label
    >
    <RubricLines v-if="item.by_hand" :rubric="item.rubric ?? []" @update="set({ rubric: $event })" />
  </div>
</template>
