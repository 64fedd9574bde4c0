<script setup lang="ts">
/** A player's own team: it chooses, signals, and sees how far it is. */
import { computed } from 'vue'
import type { GameMove, OwnBoardOf } from '@/api/types'
import type { BoardMoment } from '../../gameViews'
import TeamBefore from '../../shared/teams/TeamBefore.vue'
import TeamFlag from '../../shared/teams/TeamFlag.vue'
import { placeSaid, teamName, teamTitle } from '../../shared/teams/teams'
import { t } from '../words'

// It needs nothing else of what is on.
defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: OwnBoardOf<'soundings'>; at: BoardMoment }>()
const emit = defineEmits<{ move: [move: GameMove] }>()
const boat = computed(() => props.board.boat)
const name = computed(() => (boat.value ? teamName(boat.value.number) : ''))
const chooses = computed(() => props.board.channels.length > 0)
const first = computed(() => {
  if (props.board.first === null) return ''
  return props.board.first === boat.value?.number
    ? t('you_first')
    : t('comes_first', { name: teamName(props.board.first) })
})
</script>

<template>
  <TeamBefore
    v-if="at === 'before'"
    :team="boat?.number ?? null"
    :choices="board.choices"
    @move="emit('move', $event)"
  />
  <div v-else-if="at === 'during' && board.fathoms" class="mb-4 text-[15px]">
    <p class="flex flex-wrap items-center gap-x-2" role="status">
      <TeamFlag v-if="boat" :number="boat.number" class="size-4" />
      <b v-if="boat">{{ name }}</b>
      <span class="ms-auto"
        >{{ t('fathoms', { n: board.fathoms }) }}<template v-if="first"> · {{ first }}</template></span
      >
    </p>
    <button
      v-if="board.signals && boat"
      type="button"
      class="mt-3 min-h-14 w-full rounded border-2 border-tide bg-sheet text-xl font-bold text-tide"
      @click="emit('move', { move: 'signal' })"
    >
      {{ t('signal') }}
    </button>
  </div>
  <div v-else-if="at !== 'during'" class="pt-6">
    <p v-if="boat" class="flex items-center gap-2 text-lg">
      <TeamFlag :number="boat.number" class="size-5" />
      <span>{{ teamTitle(boat.number) }}</span>
      <span v-if="at === 'between' && chooses" class="ms-auto">{{ t('fathoms', { n: boat.fathoms }) }}</span>
    </p>
    <template v-if="at === 'between' && chooses">
      <div role="status">
        <h1 class="mt-2 text-3xl">{{ t(board.course ? 'course_set' : 'you_choose') }}</h1>
      </div>
      <ul v-if="!board.course" class="mt-4 space-y-4">
        <li v-for="(channel, index) in board.channels" :key="index">
          <h2 class="font-bold wrap-anywhere" dir="auto">{{ channel.name || t('open_water') }}</h2>
          <div class="mt-1 grid grid-cols-5 gap-2">
            <button
              v-for="one in channel.soundings"
              :key="one.question"
              type="button"
              class="figure min-h-11 rounded border border-ink bg-sheet text-xl"
              :aria-label="
                t('sounding', {
                  channel: channel.name || t('open_water'),
                  fathoms: t('fathoms', { n: one.fathoms }),
                })
              "
              @click="emit('move', { move: 'choose', question: one.question })"
            >
              {{ one.fathoms }}
            </button>
          </div>
        </li>
      </ul>
    </template>
    <template v-else>
      <template v-if="boat">
        <h1 class="text-5xl">{{ t('fathoms', { n: boat.fathoms }) }}</h1>
        <p class="mt-3 text-xl">{{ placeSaid(boat.place, board.boats) }}</p>
      </template>
      <p v-if="at === 'between'" class="mt-3 text-lg text-slate" role="status">
        {{ board.turn === null ? t('all_charted') : t('team_chooses', { name: teamName(board.turn) }) }}
      </p>
    </template>
  </div>
</template>
