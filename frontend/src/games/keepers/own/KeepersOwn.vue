<script setup lang="ts">
/** A player's own light, and what oil buys for it. */
import { ref, watch } from 'vue'
import type { GameMove, OwnBoardOf } from '@/api/types'
import type { BoardMoment } from '../../gameViews'
import KeepersLight from './KeepersLight.vue'
import { t } from '../words'

// It needs nothing else of what is on.
defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: OwnBoardOf<'keepers'>; at: BoardMoment }>()
const emit = defineEmits<{ move: [move: GameMove] }>()
const gust = ref(false)
watch(
  () => props.board.gusts,
  (now, before) => (gust.value = now > before),
)
watch(
  () => props.board.answers,
  () => (gust.value = false),
)
</script>

<template>
  <section v-if="at === 'during'" class="mb-4" :aria-label="t('name')">
    <div class="flex items-center gap-3">
      <KeepersLight :lens="board.lens" :flame="board.flame" :wicks="board.wicks" />
      <div class="min-w-0 grow">
        <p class="sr-only">
          {{ t('your_light', { lens: board.lens, flame: board.flame, oil: board.oil }) }}
          {{ t('wicks', { n: board.wicks }) }}
        </p>
        <p class="figure text-2xl leading-tight">
          {{ t('oil', { n: board.oil }) }}
          <span v-if="board.target_oil" class="text-base font-normal text-slate">{{
            t('of_target', { now: board.earned, target: board.target_oil })
          }}</span>
        </p>
        <p class="text-[15px]">
          {{ t('flame', { flame: board.flame }) }} · {{ t('next_gives', { n: board.each }) }}
        </p>
        <p class="text-[15px] text-slate">
          {{ t('answers_right', { right: board.right, answers: board.answers }) }}
          <template v-if="board.target_answers">
            · {{ t('of_target', { now: board.answers, target: board.target_answers }) }}</template
          >
        </p>
      </div>
    </div>
    <p v-if="gust" role="status" class="mt-1 border-s-4 border-tide ps-2 text-[15px]">
      {{ t('gust_came') }}
    </p>
    <div class="mt-2 grid auto-cols-fr grid-flow-col gap-1.5">
      <button
        v-for="offer in board.offers"
        :key="offer.what"
        type="button"
        class="min-h-11 rounded border px-1 py-1 text-center text-[14px] leading-tight"
        :class="offer.can ? 'border-tide bg-sheet font-bold text-tide' : 'border-rule text-slate'"
        :disabled="!offer.can"
        :title="t(`hint_${offer.what}`)"
        @click="emit('move', { move: 'buy', what: offer.what })"
      >
        {{ t(`buy_${offer.what}`) }}
        <span class="block font-normal">{{ t('price', { price: offer.price }) }}</span>
        <span class="sr-only">{{ t(`hint_${offer.what}`) }}</span>
      </button>
    </div>
  </section>
  <div v-else-if="at === 'after'" class="mt-5" role="status">
    <KeepersLight :lens="board.lens" :flame="board.flame" :wicks="board.wicks" />
    <p class="mt-2 text-3xl font-bold">{{ t('earned', { n: board.earned }) }}</p>
    <p class="mt-1 text-lg">{{ t('answers_right', { right: board.right, answers: board.answers }) }}</p>
  </div>
</template>
