<script setup lang="ts">
/** The boats at the desk: whose turn it is, and moved by hand. */
import { computed } from 'vue'
import type { BoardOf, DeskView, GameGuide } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import TeamsAtDesk from '../../desks/TeamsAtDesk.vue'
import type { GameDesk } from '../../gameViews'
import TeamFlag from '../../shared/teams/TeamFlag.vue'
import { teamName } from '../../shared/teams/teams'
import { t } from './words'

const props = defineProps<{ board: BoardOf<'island'>; view: DeskView; desk: GameDesk }>()
const ended = computed(() => props.view.phase === 'ended')
const guide = (what: GameGuide): void => void props.desk.guide(what)
const move = (team: number, bays: number): void => guide({ move: 'move_boat', team, bays })

const teams = computed(() =>
  props.board.boats.map(({ number, bay, members }) => ({
    number,
    has: bay,
    members: props.board.made === 'room' ? null : members,
  })),
)

/** Without devices: the team that has rolled, or had, goes on once you heard that it knows. */
const heard = computed(() => {
  if (props.board.made !== 'room') return null
  if (props.board.turn && props.board.rolled) return { team: props.board.turn, rolled: props.board.rolled }
  return props.board.last
})
</script>

<template>
  <section :aria-label="t('round_the_island')" class="mb-5 border-b border-rule pb-4">
    <p v-if="board.turn && !ended" class="mb-2 flex flex-wrap items-center gap-2">
      <TeamFlag :number="board.turn" class="size-5" />
      <b>{{
        board.rolled
          ? t('has_rolled', { team: teamName(board.turn), rolled: board.rolled })
          : t('rolls', { team: teamName(board.turn) })
      }}</b>
      <span v-if="!board.rolled" class="text-slate">{{
        board.made === 'room' ? t('space_rolls_for_them_and_asks') : t('on_a_phone')
      }}</span>
    </p>
    <p v-else-if="!ended" class="mb-2">
      <b>{{ t('it_is_over') }}</b>
    </p>
    <p class="mb-2 text-[15px] text-slate">{{ t('it_is_bays_round_the_island', { bays: board.bays }) }}</p>
    <p v-if="heard && !ended" class="mb-2">
      <UiButton @click="move(heard.team, heard.rolled)">{{
        t('knew_it_on', { team: teamName(heard.team), rolled: heard.rolled })
      }}</UiButton>
    </p>
    <TeamsAtDesk
      :teams="teams"
      :unit="t('bay')"
      :turn="ended ? null : board.turn"
      @add="move"
      @turn="guide({ move: 'give_turn', team: $event })"
    />
  </section>
</template>
