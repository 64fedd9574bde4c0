<script setup lang="ts">
/** The boats at the desk: whose turn it is, and moved by hand. */
import { computed } from 'vue'
import type { BoardOf, DeskView, GameGuide } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import { smallField } from '@/ui/recipes'
import type { GameDesk } from '../gameViews'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'

const props = defineProps<{ board: BoardOf<'island'>; view: DeskView; desk: GameDesk }>()
const ended = computed(() => props.view.phase === 'ended')
const guide = (what: GameGuide): void => void props.desk.guide(what)
const move = (team: number, bays: number): void => guide({ move: 'move_boat', team, bays })

/** Without devices: the team that has rolled, or had, goes on once you heard that it knows. */
const heard = computed(() => {
  if (props.board.made !== 'room') return null
  if (props.board.turn && props.board.rolled) return { team: props.board.turn, rolled: props.board.rolled }
  return props.board.last
})
</script>

<template>
  <section aria-label="Round the island" class="mb-5 border-b border-rule pb-4">
    <p v-if="board.turn && !ended" class="mb-2 flex flex-wrap items-center gap-2">
      <TeamFlag :number="board.turn" class="size-5" />
      <b>{{ teamName(board.turn) }} {{ board.rolled ? `has rolled ${board.rolled}` : 'rolls' }}.</b>
      <span v-if="!board.rolled" class="text-slate">{{
        board.made === 'room' ? 'Space rolls for them, and asks.' : 'On a phone, or you with Space.'
      }}</span>
    </p>
    <p v-else-if="!ended" class="mb-2"><b>It is over.</b></p>
    <p v-if="heard && !ended" class="mb-2">
      <UiButton @click="move(heard.team, heard.rolled)"
        >{{ teamName(heard.team) }} knew it: {{ heard.rolled }} on</UiButton
      >
    </p>
    <ul class="flex flex-wrap gap-x-6 gap-y-1">
      <li v-for="boat in board.boats" :key="boat.number" class="flex items-center gap-1.5">
        <TeamFlag :number="boat.number" class="size-4" />
        <span>{{ teamName(boat.number) }}</span>
        <span v-if="board.made !== 'room'" class="text-sm text-slate">({{ boat.members }})</span>
        <b class="figure min-w-6 text-right text-lg">{{ boat.bay }}</b>
        <span class="text-sm text-slate">of {{ board.bays }}</span>
        <UiButton look="quiet" size="small" class="px-1.5!" @click="move(boat.number, -1)"
          ><span
            >−1<span class="sr-only"> bay for {{ teamName(boat.number) }}</span></span
          ></UiButton
        >
        <UiButton look="quiet" size="small" class="px-1.5!" @click="move(boat.number, 1)"
          ><span
            >+1<span class="sr-only"> bay for {{ teamName(boat.number) }}</span></span
          ></UiButton
        >
      </li>
    </ul>
    <label v-if="board.turn && !ended" class="mt-2 flex w-fit items-center gap-2 text-[15px]"
      >Whose turn it is
      <select
        :class="smallField"
        :value="board.turn"
        @change="guide({ move: 'give_turn', team: Number(($event.target as HTMLSelectElement).value) })"
      >
        <option v-for="boat in board.boats" :key="boat.number" :value="boat.number">
          {{ teamName(boat.number) }}
        </option>
      </select>
    </label>
  </section>
</template>
