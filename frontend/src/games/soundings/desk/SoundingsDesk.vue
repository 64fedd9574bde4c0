<script setup lang="ts">
/** The chart at the desk: opens what a team calls out, and puts right who charted what. */
import { computed, ref, watch } from 'vue'
import type { BoardOf, DeskView, GameGuide } from '@/api/types'
import TeamsAtDesk from '../../desks/TeamsAtDesk.vue'
import type { GameDesk } from '../../gameViews'
import TeamFlag from '../../shared/teams/TeamFlag.vue'
import { teamName } from '../../shared/teams/teams'
import { t as shown } from '../words'
import { t } from './words'
import { t as common } from '@/ui/words'

type Sounding = BoardOf<'soundings'>['channels'][number]['soundings'][number]

const props = defineProps<{ board: BoardOf<'soundings'>; view: DeskView; desk: GameDesk }>()
const every = computed(() => props.board.channels.flatMap((one) => one.soundings))
/** What is put right: the one that is on, unless another was chosen. */
const chosen = ref<string | null>(null)
const on = computed(() => every.value.find((one) => one.on))
watch(
  () => [on.value?.question, props.view.step],
  () => (chosen.value = null),
)
const settled = computed(
  () =>
    every.value.find((one) => one.question === (chosen.value ?? on.value?.question)) ??
    every.value.find((one) => one.question === props.view.shown?.item.id),
)
const titleOf = (question: string): string =>
  props.view.run.find((row) => row.id === question)?.title || common('untitled')
const ended = computed(() => props.view.phase === 'ended')

const teams = computed(() =>
  props.board.boats.map(({ number, fathoms, members }) => ({
    number,
    has: fathoms,
    members: props.board.made === 'room' ? null : members,
  })),
)

const guide = (what: GameGuide): void => void props.desk.guide(what)

function touch(one: Sounding): void {
  if (one.over || one.on || ended.value) chosen.value = one.question
  else void props.desk.goTo(one.question)
}
const said = (one: Sounding): string => {
  const of = `${shown('fathoms', { n: one.fathoms })}: ${titleOf(one.question)}`
  if (one.team) return t('charted_by', { of, team: teamName(one.team) })
  return one.over ? t('nobody_took_it', { of }) : one.on ? t('asked_now', { of }) : t('ask', { of })
}
</script>

<template>
  <section :aria-label="t('soundings')" class="mb-5 border-b border-rule pb-4">
    <p class="mb-2 flex flex-wrap items-center gap-2">
      <template v-if="board.turn && !ended">
        <TeamFlag :number="board.turn" class="size-5" />
        <b>{{
          on
            ? t('has_the_turn', { team: teamName(board.turn) })
            : t('chooses', { team: teamName(board.turn) })
        }}</b>
        <span v-if="!on" class="text-slate">{{ t('on_a_phone_or_you_press') }}</span>
      </template>
      <b v-else-if="!board.turn">{{ t('every_sounding_is_taken') }}</b>
    </p>
    <table class="border-separate border-spacing-y-1">
      <tbody>
        <tr v-for="(channel, index) in board.channels" :key="index">
          <th scope="row" class="max-w-44 truncate pe-3 text-start font-normal" dir="auto">
            {{ channel.name || t('open_water') }}
          </th>
          <td class="flex flex-wrap gap-1">
            <button
              v-for="one in channel.soundings"
              :key="one.question"
              type="button"
              class="flex size-9 items-center justify-center rounded border tabular-nums"
              :class="[
                one.on ? 'border-2 border-ink bg-lamp-wash font-bold' : 'border-edge',
                one.over && !one.team ? 'text-slate' : '',
                settled?.question === one.question && !one.on ? 'ring-2 ring-tide' : '',
              ]"
              :aria-label="said(one)"
              :title="said(one)"
              @click="touch(one)"
            >
              <TeamFlag v-if="one.team" :number="one.team" class="size-5" />
              <template v-else>{{ one.over ? '×' : one.fathoms }}</template>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="settled" class="mt-2">
      <p class="flex gap-2 text-[15px] text-slate">
        <span class="shrink-0">{{ shown('fathoms', { n: settled.fathoms }) }}:</span>
        <span class="line-clamp-1">{{ titleOf(settled.question) }}</span>
      </p>
      <div class="mt-1 flex flex-wrap items-center gap-1" role="group" :aria-label="t('who_has_charted_it')">
        <span class="me-1 text-[15px]">{{ t('charted_by_2') }}</span>
        <button
          v-for="boat in board.boats"
          :key="boat.number"
          type="button"
          class="flex min-h-8 items-center gap-1.5 rounded border px-2"
          :class="
            settled.team === boat.number ? 'border-2 border-tide font-bold' : 'border-rule hover:bg-tide-wash'
          "
          :aria-pressed="settled.team === boat.number"
          @click="guide({ move: 'say_who_charted', question: settled.question, team: boat.number })"
        >
          <TeamFlag :number="boat.number" class="size-4" />{{ teamName(boat.number) }}
        </button>
        <button
          type="button"
          class="min-h-8 rounded border px-2"
          :class="
            settled.over && !settled.team
              ? 'border-2 border-tide font-bold'
              : 'border-rule hover:bg-tide-wash'
          "
          :aria-pressed="settled.over && !settled.team"
          @click="guide({ move: 'say_who_charted', question: settled.question, team: null })"
        >
          {{ t('nobody') }}
        </button>
      </div>
    </div>
    <TeamsAtDesk
      class="mt-3"
      :teams="teams"
      :unit="t('fathom')"
      :turn="ended ? null : board.turn"
      @add="(team, fathoms) => guide({ move: 'give_fathoms', team, fathoms })"
      @turn="guide({ move: 'give_turn', team: $event })"
    />
  </section>
</template>
