<script setup lang="ts">
/** The lock that one is at: its story, its dials, and what a hint costs. */
import { computed, ref, watch } from 'vue'
import type { GameMove, OwnBoardOf } from '@/api/types'
import type { BoardMoment } from '../../gameViews'
import TeamBefore from '../../shared/teams/TeamBefore.vue'
import TeamFlag from '../../shared/teams/TeamFlag.vue'
import { placeSaid, teamTitle } from '../../shared/teams/teams'
import { lockName } from '../locks'
import { t } from '../words'
import LanternSign from './LanternSign.vue'

// It needs nothing else of what is on.
defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: OwnBoardOf<'boathouse'>; at: BoardMoment }>()
const emit = defineEmits<{ move: [move: GameMove] }>()
const LANTERNS = 3

const crew = computed(() => props.board.crew)
const number = computed(() => Math.min(props.board.locks, props.board.opened + 1))
/** A story is open as one comes to its lock, and folds once a dial stands. */
const isNew = computed(() => props.board.dials.every((dial) => !dial.figure))
const opens = ref('')
watch(
  () => props.board.opened,
  (now, before) => (opens.value = now > before ? t('it_opens', { lock: lockName(now) }) : ''),
)
</script>

<template>
  <template v-if="at === 'before'">
    <p v-if="board.story" class="mt-4 whitespace-pre-line" dir="auto">{{ board.story }}</p>
    <TeamBefore
      v-if="crew || board.crews || board.choices"
      :team="crew?.number ?? null"
      :choices="board.choices"
      @move="emit('move', $event)"
    />
  </template>
  <section v-else-if="at === 'during'" class="mb-4" :aria-label="t('name')">
    <div class="flex items-baseline justify-between gap-3">
      <p class="font-bold">{{ lockName(number) }}</p>
      <p class="text-[15px] text-slate">{{ t('lock_of', { lock: number, locks: board.locks }) }}</p>
    </div>
    <p class="sr-only" role="status">{{ opens }}</p>
    <details v-if="board.story" :key="number" :open="isNew" class="mt-1">
      <summary class="min-h-6 text-[15px] text-tide">{{ t('story') }}</summary>
      <p class="mt-1 border-s-4 border-rule ps-3 whitespace-pre-line" dir="auto">{{ board.story }}</p>
    </details>
    <div class="mt-2 flex items-center justify-between gap-3">
      <ul class="flex flex-wrap gap-1" dir="ltr" :aria-label="t('dials')">
        <li
          v-for="(dial, index) in board.dials"
          :key="index"
          class="figure flex h-11 w-8 items-center justify-center rounded-sm border-2 text-xl"
          :class="
            dial.figure
              ? ['border-lamp-ink bg-lamp-wash', dial.given && 'border-dashed']
              : 'border-edge bg-mist'
          "
        >
          <span v-if="!dial.figure" class="sr-only">{{ t('dial_open') }}</span>
          <template v-else-if="dial.given">
            <span aria-hidden="true">{{ dial.figure }}</span>
            <span class="sr-only">{{ t('dial_given', { figure: dial.figure }) }}</span>
          </template>
          <span v-else>{{ dial.figure }}</span>
        </li>
      </ul>
      <p class="flex shrink-0 gap-1">
        <span class="sr-only">{{ t('left', { n: board.left }) }}</span>
        <LanternSign v-for="lantern in LANTERNS" :key="lantern" :lit="lantern <= board.left" />
      </p>
    </div>
    <p v-if="board.hint" class="mt-2 border-s-4 border-lamp ps-3" role="status">
      <b>{{ t('hint') }}:</b> <span dir="auto">{{ board.hint }}</span>
    </p>
    <button
      type="button"
      class="mt-1 min-h-11 font-bold text-tide disabled:font-normal disabled:text-slate"
      :disabled="!board.next_hint"
      @click="emit('move', { move: 'take_hint' })"
    >
      {{ board.next_hint ? t(`hint_${board.next_hint}`) : t('no_hint') }}
    </button>
  </section>
  <div v-else class="mt-5">
    <p v-if="crew" class="mb-2 flex items-center gap-2 text-lg">
      <TeamFlag :number="crew.number" class="size-5" />
      <span>{{ teamTitle(crew.number) }}</span>
    </p>
    <p class="text-3xl font-bold" role="status">
      {{
        board.opened < board.locks
          ? t('opened_of', { opened: board.opened, locks: board.locks })
          : t('all_open')
      }}
    </p>
    <p class="mt-2 text-xl">{{ t('lanterns', { n: board.lanterns }) }}</p>
    <p v-if="crew && at === 'after'" class="mt-1 text-lg">{{ placeSaid(crew.place, board.crews) }}</p>
    <p
      v-if="board.story && board.opened === board.locks"
      class="mt-4 border-s-4 border-rule ps-3 whitespace-pre-line"
      dir="auto"
    >
      {{ board.story }}
    </p>
  </div>
</template>
