<script setup lang="ts">
/** How many letters are offered, and which are right. */
import { computed } from 'vue'
import type { ItemOf } from '@/api/types'
import { ALL } from '../letters'
import { t } from './words'

type Letter = ItemOf<'letter'>
const props = defineProps<{ item: Letter }>()
const emit = defineEmits<{ update: [item: Letter] }>()

const offered = computed(() => ALL.slice(0, props.item.letters ?? 4))

function toggle(letter: (typeof ALL)[number]): void {
  const right = new Set(props.item.right)
  if (!right.delete(letter)) right.add(letter)
  emit('update', { ...props.item, right: ALL.filter((one) => right.has(one)) })
}
</script>

<template>
  <div class="pt-1 ps-1.5" data-line>
    <p class="text-[15px] text-slate">{{ t('you_ask_aloud_or_it_stands') }}</p>
    <div v-if="item.scored" class="mt-1 flex flex-wrap gap-3">
      <label v-for="letter in offered" :key="letter" class="inline-flex min-h-8 items-center gap-1.5">
        <input
          type="checkbox"
          class="size-4 accent-leaf"
          :aria-label="t('is_right', { letter })"
          :checked="item.right?.includes(letter)"
          @change="toggle(letter)"
        />{{ letter }}
      </label>
    </div>
  </div>
</template>
