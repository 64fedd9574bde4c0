<script setup lang="ts">
/** One large button, always in the same place, does the next sensible thing. */
import { computed } from 'vue'
import type { DeskView } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import DeskAnswers from './DeskAnswers.vue'
import DeskMore from './DeskMore.vue'
import type { Desk } from './useDesk'
import { t } from './words'

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
  next: t('next'),
  close: t('close_the_question'),
  reveal: t('show_the_right_answer'),
  standings: t('show_the_standings'),
  vote_again: t('vote_again'),
  resume: t('go_on'),
  collect: t('take_all_papers_in'),
  open_feedback: t('let_them_see_what_was_right'),
  ask_now: t('ask_now_2'),
  end: t('end_the_session'),
}

const label = computed(() => {
  const { view } = props
  if (view.phase === 'ended') return t('see_the_results')
  if (view.stopped) return MOVES.resume
  if (view.phase === 'lobby' && view.next !== 'ask_now') return t('start')
  if (view.next === 'reveal' && !view.shown?.item.scored) return t('show_the_explanation')
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
      :hint="t('space')"
      class="min-w-64"
      :aria-disabled="desk.pending.value > 0"
      @click="emit('next')"
      >{{ label }}</UiButton
    >
    <p v-if="goesOn !== null" class="text-slate tabular-nums">
      {{ t('by_itself_in_s', { goes_on: goesOn }) }}
    </p>
    <template v-if="isRunning">
      <UiButton v-if="mayAsk" hint="N" @click="emit('ask')">{{ t('ask_now') }}</UiButton>
      <UiButton hint="C" :aria-pressed="view.curtain" @click="desk.toggleCurtain()">{{
        view.curtain ? t('lift_the_curtain') : t('curtain')
      }}</UiButton>
      <UiButton v-if="desk.can('add_time')" @click="desk.addTime(15)">+15 s</UiButton>
      <UiButton v-if="desk.can('talk')" hint="V" @click="desk.talk(120)">{{ t('talk_it_over') }}</UiButton>
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
      <UiButton :disabled="!view.previous" @click="desk.goTo(view.previous!)">{{ t('back') }}</UiButton>
      <UiButton :disabled="!view.following" @click="desk.goTo(view.following!)">{{ t('skip') }}</UiButton>
    </template>
    <template v-else>
      <UiButton v-if="mayAsk" hint="N" @click="emit('ask')">{{ t('ask_now') }}</UiButton>
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
    <UiButton look="quiet" class="px-2!" :aria-label="t('the_list_of_keys')" @click="emit('keys')"
      >?</UiButton
    >
    <UiButton v-if="view.phase !== 'ended'" look="quiet" class="px-2!" @click="emit('end')">{{
      t('end_session')
    }}</UiButton>
  </footer>
</template>
