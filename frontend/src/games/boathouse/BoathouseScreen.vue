<script setup lang="ts">
/** The chain of locks: of each how many have it open, or for every team how far it is. */
import { computed } from 'vue'
import type { BoardOf, ScreenView } from '@/api/types'
import type { BoardMoment } from '../gameViews'
import PlacesBeside from '../screens/PlacesBeside.vue'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'
import { lockName } from './locks'
import LockSign from './LockSign.vue'
import { t } from './words'

const props = defineProps<{ board: BoardOf<'boathouse'>; at: BoardMoment; view: ScreenView }>()
const FEW_TEAMS = 8

const locks = computed(() =>
  props.board.opened.map((opened, index) => ({
    number: index + 1,
    name: lockName(index + 1),
    opened,
    share: opened / Math.max(1, props.board.players),
  })),
)
const size = computed(() => {
  if (locks.value.length > 6) return 'h-[3.6em]'
  return locks.value.length > 3 ? 'h-[5.4em]' : 'h-[8.5em]'
})
const crews = computed(() =>
  props.at === 'after' ? [...props.board.crews].sort((a, b) => a.place - b.place) : props.board.crews,
)
</script>

<template>
  <div
    v-if="board.alone"
    class="grid min-h-0 grow gap-[2vw]"
    :class="view.standings.length ? 'grid-cols-[1fr_1.7fr]' : ''"
  >
    <PlacesBeside :view="view" />
    <ol
      class="grid content-start gap-x-[1.2em] gap-y-[1.6em]"
      :class="locks.length > 6 ? 'grid-cols-4' : 'grid-cols-3'"
    >
      <li v-for="lock in locks" :key="lock.number" class="min-w-0">
        <LockSign :open="lock.opened > 0" :lit="lock.share" :class="size" />
        <span class="sr-only">{{
          t('opened_by', { lock: lock.name, n: lock.opened, players: board.players })
        }}</span>
        <span class="mt-[0.2em] block truncate text-[max(18px,0.8em)]" aria-hidden="true"
          ><span class="figure text-soft">{{ lock.number }}</span> {{ lock.name }}</span
        >
        <span class="figure block text-[max(18px,0.8em)]" aria-hidden="true">{{
          t('have_opened', { n: lock.opened, players: board.players })
        }}</span>
      </li>
    </ol>
  </div>
  <ol
    v-else
    class="grid min-h-0 grow content-center gap-x-[2em] gap-y-[0.5em]"
    :class="crews.length > FEW_TEAMS ? 'grid-cols-2' : ''"
  >
    <li v-for="crew in crews" :key="crew.number" class="flex min-w-0 items-center gap-[0.5em]">
      <span v-if="at === 'after'" class="figure w-[1.2em] shrink-0 text-soft">{{ crew.place }}</span>
      <TeamFlag :number="crew.number" class="size-[1em]" />
      <span
        class="w-[6.5em] shrink-0 truncate"
        :class="at === 'after' && crew.place === 1 && 'font-bold'"
        aria-hidden="true"
        >{{ teamName(crew.number) }}</span
      >
      <span class="sr-only">{{
        t('team_at', {
          name: teamName(crew.number),
          opened: crew.opened,
          locks: board.locks,
          n: crew.lanterns,
        })
      }}</span>
      <span class="flex min-w-0 grow gap-[0.15em]" aria-hidden="true">
        <LockSign
          v-for="lock in board.locks"
          :key="lock"
          :open="lock <= crew.opened"
          :lit="lock <= crew.opened ? 1 : 0"
          class="max-h-[1.7em] min-w-0"
        />
      </span>
      <span class="figure shrink-0 text-[max(18px,0.8em)]" aria-hidden="true">{{
        t('lanterns', { n: crew.lanterns })
      }}</span>
    </li>
  </ol>
</template>
