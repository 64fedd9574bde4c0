<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import type { Mine, StudentView } from '@/api/types'
import ScoreView from './ScoreView.vue'
import type { SeatLink } from './useSeat'
import { t } from './words'

const OwnBoard = defineAsyncComponent(() => import('./OwnBoard.vue'))
const OwnLight = defineAsyncComponent(() => import('./light/OwnLight.vue'))
const ReviewView = defineAsyncComponent(() => import('./own/ReviewView.vue'))
const PractiseMissed = defineAsyncComponent(() => import('./PractiseMissed.vue'))
const props = defineProps<{ view: StudentView; mine: Mine | null; own?: SeatLink['own'] }>()
const reviewing = ref(false)
</script>

<template>
  <ReviewView v-if="reviewing && props.own" :own="props.own" :mine="mine" :marks="!!view.marks" />
  <div v-else class="pt-8" role="status">
    <h1 class="text-3xl">{{ t('over_thanks') }}</h1>
    <p class="mt-3 text-lg wrap-anywhere">{{ t('is_over', { title: view.title }) }}</p>
    <OwnBoard v-if="mine?.board" :mine="mine" at="after" />
    <ScoreView v-if="mine" :mine="mine" />
    <button
      v-if="mine?.review && props.own"
      type="button"
      class="mt-6 min-h-11 rounded border border-ink bg-sheet px-4 py-2 font-bold"
      @click="reviewing = true"
    >
      {{ t('see_right') }}
    </button>
    <PractiseMissed :mine="mine" />
    <OwnLight v-if="mine?.light" :mine="mine" :own="props.own" ended />
  </div>
</template>
