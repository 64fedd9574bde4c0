<script setup lang="ts">
/** The text with its gaps in square brackets. */
import type { ItemOf } from '@/api/types'
import RichField from '@/questions/shared/RichField.vue'
import TextList from '@/questions/shared/TextList.vue'

type Gap = ItemOf<'gap_fill'>
const props = defineProps<{ item: Gap }>()
const emit = defineEmits<{ update: [item: Gap] }>()

const set = (change: Partial<Gap>): void => emit('update', { ...props.item, ...change })
const HINTS = {
  typed:
    'What belongs into a gap stands in brackets; a bar parts spellings that are also right: [rises|climbs].',
  chosen: 'In brackets the right choice first, then the others: [six|four|eight].',
  bank: 'What belongs into a gap stands in brackets: [spring]. All words make one bank.',
}
</script>

<template>
  <div>
    <RichField
      :model-value="item.text ?? ''"
      data-line
      label="Text with gaps"
      placeholder="The tide rises for about [six] hours."
      @update:model-value="set({ text: $event })"
    />
    <p class="pl-1.5 text-[15px] text-slate">{{ HINTS[item.way ?? 'typed'] }}</p>
    <TextList
      v-if="item.way === 'bank'"
      class="mt-1"
      :texts="item.extra ?? []"
      label="Word that belongs nowhere"
      :fewest="0"
      :most="30"
      @update="set({ extra: $event })"
    />
  </div>
</template>
