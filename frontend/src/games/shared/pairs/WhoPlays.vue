<script setup lang="ts">
/** Where several play at this device: whose turn it is, and how many each has found. */
import { computed } from 'vue'
import { figure } from '@/words'
import { t } from './words'

const props = defineProps<{ names: readonly string[]; turns: readonly number[]; done: boolean }>()
const found = computed(() =>
  props.names.map(
    (_, index) => props.turns.slice(0, -1).filter((turn) => turn % props.names.length === index).length,
  ),
)
const at = computed(() => (props.turns.at(-1) ?? 0) % props.names.length)
</script>

<template>
  <div class="mb-2">
    <p class="figure text-xl" dir="auto" role="status">
      {{ done ? t('all_found') : t('turn_of', { name: names[at]! }) }}
    </p>
    <ul class="mt-1 flex flex-wrap gap-2">
      <li
        v-for="(name, index) in names"
        :key="index"
        class="flex min-h-8 items-center gap-2 rounded border-2 px-2.5"
        :class="!done && index === at ? 'border-lamp bg-lamp-wash' : 'border-edge bg-sheet'"
      >
        <span class="wrap-anywhere" dir="auto">{{ name }}</span><b class="figure">{{
          figure(found[index]!)
        }}</b>
      </li>
    </ul>
  </div>
</template>
