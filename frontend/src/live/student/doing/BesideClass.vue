<script setup lang="ts">
/** How the whole class did, in tenths, with the tenth that is one's own: nobody is named. */
import { computed } from 'vue'
import type { MyWork } from '@/api/types'
import { percent } from '@/composables/format'
import { t } from './words'

const props = defineProps<{ beside: NonNullable<MyWork['beside']> }>()
const most = computed(() => Math.max(...props.beside.tenths))
const fewer = computed(() =>
  props.beside.tenths.slice(0, props.beside.own).reduce((all, one) => all + one, 0),
)
</script>

<template>
  <section class="mt-5">
    <h2 class="text-xl">{{ t('beside_class') }}</h2>
    <ol class="mt-2 flex h-16 items-end gap-1" aria-hidden="true">
      <li
        v-for="(count, index) in beside.tenths"
        :key="index"
        class="grow border-b-2"
        :class="index === beside.own ? 'border-lamp-ink bg-lamp' : 'border-edge bg-mist'"
        :style="{ height: `${(100 * count) / most}%` }"
      />
    </ol>
    <p class="mt-1 flex justify-between text-[15px] text-slate" aria-hidden="true">
      <span>{{ percent(0) }}</span><span>{{ percent(1) }}</span>
    </p>
    <p class="mt-1">{{ t('beside_words', { people: beside.people, fewer }) }}</p>
  </section>
</template>
