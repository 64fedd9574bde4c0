<script setup lang="ts">
/** The card that is on at the desk: what each team said to it was worth so much. */
import { computed } from 'vue'
import type { BoardOf, DeskView, GameGuide } from '@/api/types'
import WhoseTurn from '../../desks/WhoseTurn.vue'
import type { GameDesk } from '../../gameViews'
import TeamFlag from '../../shared/teams/TeamFlag.vue'
import { teamName } from '../../shared/teams/teams'
import { t } from './words'

const props = defineProps<{ board: BoardOf<'sea_chest'>; view: DeskView; desk: GameDesk }>()
const ended = computed(() => props.view.phase === 'ended')
const guide = (what: GameGuide): void => void props.desk.guide(what)
const WORTH = [
  [0, t('none')],
  [1, t('half')],
  [2, t('all')],
] as const
const now = computed(() => {
  if (!props.board.turn) return t('the_chest_is_empty')
  const team = teamName(props.board.turn)
  return props.board.open ? t('has_drawn', { team }) : t('draws', { team })
})
</script>

<template>
  <section :aria-label="t('sea_chest')" class="mb-5 border-b border-rule pb-4">
    <p v-if="!ended" class="mb-2 flex flex-wrap items-center gap-2">
      <TeamFlag v-if="board.turn" :number="board.turn" class="size-5" />
      <b>{{ now }}</b>
      <span v-if="board.turn && !board.open" class="text-slate">{{
        board.made === 'room' ? t('space_draws_for_them') : t('on_a_phone')
      }}</span>
      <span class="text-slate">{{
        t('of_cards_in_the_chest', { left: board.left, cards: board.cards })
      }}</span>
    </p>
    <table class="text-[15px]">
      <caption class="sr-only">
        {{
          t('pearls')
        }}
      </caption>
      <thead>
        <tr class="text-start text-slate">
          <th scope="col" class="pe-4 font-normal">{{ t('team') }}</th>
          <th scope="col" class="pe-4 text-end font-normal">{{ t('pearls') }}</th>
          <th scope="col" class="font-normal">
            {{ board.open ? t('for_this_card') : t('for_the_last_card') }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="team in board.teams" :key="team.number">
          <th scope="row" class="py-0.5 pe-4 text-start font-normal">
            <span class="flex items-center gap-2">
              <TeamFlag :number="team.number" class="size-4" />
              <span :class="board.turn === team.number && board.open && 'font-bold'">{{
                teamName(team.number)
              }}</span>
            </span>
          </th>
          <td class="figure pe-4 text-end text-lg">{{ team.pearls }}</td>
          <td>
            <span v-if="board.card" class="flex gap-1">
              <button
                v-for="[pearls, word] in WORTH"
                :key="pearls"
                type="button"
                class="min-h-9 min-w-14 rounded border px-2"
                :class="
                  team.now === pearls ? 'border-2 border-tide bg-tide-wash font-bold' : 'border-edge bg-sheet'
                "
                :aria-pressed="team.now === pearls"
                @click="guide({ move: 'give_pearls', question: board.card, team: team.number, pearls })"
              >
                <span v-if="team.now === pearls" aria-hidden="true">✓ </span>{{ word }}
                <span class="sr-only">{{ t('of_it_was_right', { team: teamName(team.number) }) }}</span>
              </button>
            </span>
            <span v-else class="text-slate">{{ t('once_a_card_is_drawn') }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <WhoseTurn
      v-if="board.turn && !ended"
      :turn="board.turn"
      :teams="board.teams"
      @turn="guide({ move: 'give_turn', team: $event })"
    />
  </section>
</template>
