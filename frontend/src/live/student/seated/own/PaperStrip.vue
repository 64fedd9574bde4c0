<script setup lang="ts">
/** Where I am: a light for each question. Filled with an answer, ringed where one is, with a pennant to come back to. */
import { computed, nextTick, ref, watch } from 'vue'
import type { MyPaper } from '@/api/types'
import { placesOf, type Place } from './papers'
import { t } from './words'

const props = defineProps<{ paper: MyPaper }>()
const emit = defineEmits<{ go: [item: string] }>()
const places = computed(() => placesOf(props.paper))
const strip = ref<HTMLElement>()

function label(place: Place): string {
  const name = place.number ? t('question_number', { number: place.number }) : t('page')
  const state = place.number ? t(place.answered ? 'state_answered' : 'state_open') : ''
  return [name, state, place.flagged ? t('state_flagged') : ''].filter(Boolean).join(', ')
}

/** The one that is on stays in sight. */
watch(
  () => props.paper.at,
  () =>
    void nextTick(() =>
      strip.value?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' }),
    ),
  { immediate: true },
)
</script>

<template>
  <nav ref="strip" :aria-label="t('all_questions')" class="-mx-4 -mt-2 mb-3 overflow-x-auto px-3">
    <ol class="flex w-max">
      <li v-for="place in places" :key="place.item">
        <button
          type="button"
          class="relative flex size-11 items-center justify-center"
          :aria-label="label(place)"
          :aria-current="place.here ? 'step' : undefined"
          @click="emit('go', place.item)"
        >
          <span
            class="flex size-8 items-center justify-center rounded-full border-2 text-[15px] tabular-nums"
            :class="[
              place.answered ? 'border-ink bg-ink text-sheet' : 'border-edge bg-sheet text-ink',
              place.here && 'outline-3 outline-offset-1 outline-lamp',
            ]"
            >{{ place.number ?? '–' }}</span
          >
          <svg
            v-if="place.flagged"
            viewBox="0 0 10 12"
            class="absolute end-0 top-0 h-4 text-lamp-ink"
            aria-hidden="true"
          >
            <path d="M1 0h1.5v12H1zM2.5 1 9 3.8 2.5 6.6z" fill="currentColor" />
          </svg>
        </button>
      </li>
    </ol>
  </nav>
</template>
