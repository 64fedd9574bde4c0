<script setup lang="ts">
/** What is ready to come back of what the class was asked; what came of the round before. */
import { computed, shallowRef } from 'vue'
import type { Mine, PracticeOffer } from '@/api/types'
import { readPractice } from './request'
import { t } from './words'

const props = defineProps<{ token: string; busy: boolean; practised: Mine | null }>()
const emit = defineEmits<{ practise: [] }>()
const offer = shallowRef<PracticeOffer | null>(null)
const right = computed(() => Math.floor(props.practised?.right ?? 0))

// Without a network there is nothing to say of it.
void readPractice(props.token)
  .then((found) => (offer.value = found))
  .catch(() => {})
</script>

<template>
  <section
    v-if="practised || offer?.coming || offer?.in_days"
    class="mt-6 rounded border border-rule bg-sheet p-4"
    aria-labelledby="practice"
  >
    <h2 id="practice" class="text-xl">{{ t('practice') }}</h2>
    <p v-if="practised" class="mt-1" role="status">
      {{ t('practised', { n: practised.scored, right }) }}
    </p>
    <template v-if="offer?.coming">
      <p class="mt-1">
        {{ t('practice_due', { n: offer.coming }) }} {{ t('practice_minutes', { n: offer.minutes }) }}
      </p>
      <button
        type="button"
        class="mt-3 min-h-11 rounded border border-ink px-4 font-bold"
        :disabled="busy"
        @click="emit('practise')"
      >
        {{ t('practise') }}
      </button>
    </template>
    <p v-else-if="offer?.in_days" class="mt-1 text-slate">{{ t('practice_later', { n: offer.in_days }) }}</p>
  </section>
</template>
