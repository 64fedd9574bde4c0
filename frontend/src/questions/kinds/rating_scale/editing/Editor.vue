<script setup lang="ts">
/** The statements, and the words at both ends of the scale. */
import { newId } from '@/api/ids'
import type { ItemOf } from '@/api/types'
import LineList from '@/questions/editing/LineList.vue'
import { smallField } from '@/ui/recipes'
import { t } from './words'

type Rating = ItemOf<'rating_scale'>
const props = defineProps<{ item: Rating }>()
const emit = defineEmits<{ update: [item: Rating] }>()

const set = (change: Partial<Rating>): void => emit('update', { ...props.item, ...change })
</script>

<template>
  <div>
    <LineList
      :lines="item.statements ?? []"
      :label="t('statement')"
      :fewest="1"
      :most="12"
      :blank="() => ({ id: newId(8), text: '' })"
      @update="set({ statements: $event })"
    />
    <div class="mt-2 flex flex-wrap gap-2 ps-1.5 text-[15px]">
      <label v-for="end in ['low', 'high'] as const" :key="end"
        >{{ end === 'low' ? t('step_1_means') : t('step_means', { step: item.steps ?? 5 }) }}
        <input
          type="text"
          maxlength="60"
          class="w-36"
          :class="smallField"
          :value="item[`${end}_label`]"
          @input="set({ [`${end}_label`]: ($event.target as HTMLInputElement).value })"
      /></label>
    </div>
  </div>
</template>
