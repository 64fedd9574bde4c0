<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import NumberField from '@/ui/number/NumberField.vue'

type Open = ItemOf<'open_response'>
const props = defineProps<{ item: Open }>()
const emit = defineEmits<{ update: [item: Open] }>()

function setLongest(value: number | null): void {
  if (value !== null && value >= 20 && value <= 2000)
    emit('update', { ...props.item, longest: Math.round(value) })
}
</script>

<template>
  <p class="pt-1 pl-1.5" data-line>
    Students write a text of their own. There is no right answer to compare it with.
    <label
      >At most
      <NumberField :model-value="item.longest ?? 500" class="w-20!" @update:model-value="setLongest" />
      characters</label
    >
  </p>
</template>
