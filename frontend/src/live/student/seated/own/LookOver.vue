<script setup lang="ts">
/** All of it at a glance before it is handed in: what has no answer yet, and what one wanted to come back to. */
import { computed } from 'vue'
import type { MyPaper } from '@/api/types'
import { placesOf } from './papers'
import { t } from './words'

const props = defineProps<{ paper: MyPaper }>()
const emit = defineEmits<{ go: [item: string] }>()
const places = computed(() => placesOf(props.paper).filter((place) => place.number))
const without = computed(() => places.value.filter((place) => !place.answered).length)
const flagged = computed(() => places.value.filter((place) => place.flagged).length)
</script>

<template>
  <div class="pt-2">
    <h1 class="text-3xl">{{ t('look_over') }}</h1>
    <p class="mt-2 text-lg" role="status">
      <b v-if="without">{{ t('without_answer', { n: without }) }}</b>
      <template v-else>{{ t('all_answered') }}</template>
      <template v-if="flagged"> · {{ t('flagged_count', { n: flagged }) }}</template>
    </p>
    <ol class="mt-4 divide-y divide-rule border-y border-rule bg-sheet">
      <li v-for="place in places" :key="place.item">
        <button
          type="button"
          class="flex min-h-12 w-full items-center gap-3 px-3 text-start"
          :disabled="paper.comes_back"
          @click="emit('go', place.item)"
        >
          <span class="grow font-bold">{{ t('question_number', { number: place.number! }) }}</span>
          <span v-if="place.flagged" class="text-lamp-ink">{{ t('state_flagged') }}</span>
          <span :class="!place.answered && 'text-slate'">{{
            t(place.answered ? 'state_answered' : 'state_open')
          }}</span>
        </button>
      </li>
    </ol>
  </div>
</template>
