<script setup lang="ts">
/** One large button, always in the same place, does the next sensible thing. */
import { computed } from 'vue'
import type { DeskView } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import DeskAnswers from './DeskAnswers.vue'
import DeskMore from './DeskMore.vue'
import type { Desk } from './useDesk'

const props = defineProps<{ view: DeskView; desk: Desk; now: number }>()
const emit = defineEmits<{
  next: []
  ask: []
  end: []
  keys: []
  write: []
  screen: []
  remote: []
  today: []
}>()

const MOVES: Record<DeskView['next'], string> = {
  next: 'Next',
  close: 'Close the question',
  reveal: 'Show the right answer',
  standings: 'Show the standings',
  vote_again: 'Vote again',
  resume: 'Go on',
  collect: 'Take all papers in…',
  open_feedback: 'Let them see what was right',
  ask_now: 'Ask now…',
  end: 'End the session…',
}

const label = computed(() => {
  const { view } = props
  if (view.phase === 'ended') return 'See the results'
  if (view.stopped) return MOVES.resume
  if (view.phase === 'lobby' && view.next !== 'ask_now') return 'Start'
  if (view.next === 'reveal' && !view.shown?.item.scored) return 'Show the explanation'
  return MOVES[view.next]
})
const isWorking = computed(() => props.view.phase === 'working')
const isRunning = computed(
  () => !isWorking.value && !props.view.stopped && !['lobby', 'ended'].includes(props.view.phase),
)
/** Where the large button does not say it already. */
const mayAsk = computed(() => props.desk.can('ask_now') && props.view.next !== 'ask_now')
/** By itself, unless somebody is quicker: said beside the button. */
const goesOn = computed(() => {
  const at = props.view.goes_on_at
  return at ? Math.max(0, Math.ceil((at - props.now) / 1000)) : null
})
</script>

<template>
  <footer
    class="sticky bottom-0 flex flex-wrap items-center gap-2 border-t border-ink bg-sheet px-4.5 py-3"
    @mousedown.prevent
  >
    <UiButton
      look="main"
      size="large"
      hint="Space"
      class="min-w-64"
      :aria-disabled="desk.pending.value > 0"
      @click="emit('next')"
      >{{ label }}</UiButton
    >
    <p v-if="goesOn !== null" class="text-slate tabular-nums">by itself in {{ goesOn }} s</p>
    <template v-if="isRunning">
      <UiButton v-if="mayAsk" hint="N" @click="emit('ask')">Ask now</UiButton>
      <UiButton hint="C" :aria-pressed="view.curtain" @click="desk.toggleCurtain()">{{
        view.curtain ? 'Lift the curtain' : 'Curtain'
      }}</UiButton>
      <UiButton v-if="desk.can('add_time')" @click="desk.addTime(15)">+15 s</UiButton>
      <UiButton v-if="desk.can('talk')" hint="V" @click="desk.talk(120)">Talk it over</UiButton>
      <DeskAnswers :desk="desk" :is-asked="!!view.shown?.ask" />
      <DeskMore
        :view="view"
        :desk="desk"
        @write="emit('write')"
        @screen="emit('screen')"
        @remote="emit('remote')"
        @today="emit('today')"
      />
      <span class="grow" />
      <UiButton :disabled="!view.previous" @click="desk.goTo(view.previous!)">Back</UiButton>
      <UiButton :disabled="!view.following" @click="desk.goTo(view.following!)">Skip</UiButton>
    </template>
    <template v-else>
      <UiButton v-if="mayAsk" hint="N" @click="emit('ask')">Ask now</UiButton>
      <DeskAnswers v-if="view.phase === 'lobby' && !view.stopped" :desk="desk" :is-asked="false" />
      <DeskMore
        v-if="view.phase !== 'ended'"
        :view="view"
        :desk="desk"
        @write="emit('write')"
        @screen="emit('screen')"
        @remote="emit('remote')"
        @today="emit('today')"
      />
      <span class="grow" />
    </template>
    <UiButton look="quiet" class="px-2!" aria-label="The list of keys" @click="emit('keys')">?</UiButton>
    <UiButton v-if="view.phase !== 'ended'" look="quiet" class="px-2!" @click="emit('end')"
      >End session…</UiButton
    >
  </footer>
</template>
