<script setup lang="ts">
/** What is done now and then: a pause, time for everybody, papers given back, a word to all. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import type { DeskView } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { button } from '@/ui/recipes'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import type { Desk } from './useDesk'

const props = defineProps<{ view: DeskView; desk: Desk }>()
const emit = defineEmits<{ write: []; screen: []; remote: []; today: [] }>()
const { show } = useToasts()
const mayGiveBack = computed(() => props.desk.can('reopen_paper') && props.view.handed_in > 0)

async function giveTime(seconds: number): Promise<void> {
  if (await props.desk.giveTime(seconds, null)) show(`Everybody has ${seconds / 60} minutes more.`)
}
async function giveBack(): Promise<void> {
  if (await props.desk.reopenPaper(null)) show('Papers that were not handed in by hand are out again.')
}
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton :class="button('plain')">More…</MenuButton>
    <MenuItems
      class="absolute bottom-full left-0 z-30 mb-1 w-72 rounded border border-slate bg-sheet py-1 focus:outline-none"
    >
      <template v-if="desk.can('give_time')">
        <UiMenuAction @act="giveTime(120)">Two minutes more for everybody</UiMenuAction>
        <UiMenuAction @act="giveTime(300)">Five minutes more for everybody</UiMenuAction>
      </template>
      <UiMenuAction v-if="desk.can('open_feedback')" @act="desk.openFeedback()"
        >Let them see what was right</UiMenuAction
      >
      <UiMenuAction v-if="mayGiveBack" @act="giveBack">Give papers back</UiMenuAction>
      <UiMenuAction
        v-if="desk.can('show_standings') && view.next === 'reveal' && view.settings.show_standings"
        @act="desk.standings()"
        >Standings, without the right answer</UiMenuAction
      >
      <template v-if="desk.can('talk')">
        <UiMenuAction @act="desk.talk(60)">Talk for a minute, then vote again</UiMenuAction>
        <UiMenuAction @act="desk.talk(300)">Talk for five minutes, then vote again</UiMenuAction>
      </template>
      <UiMenuAction v-if="desk.can('hide_share')" @act="desk.hideShare(!view.share_hidden)">{{
        view.share_hidden ? 'Show the class how much was right' : 'Hide from the class how much was right'
      }}</UiMenuAction>
      <UiMenuAction @act="desk.lock(!view.locked)">{{
        view.locked ? 'Unlock the doors' : 'Lock the doors: nobody new comes in'
      }}</UiMenuAction>
      <UiMenuAction @act="emit('remote')">Your phone as a remote…</UiMenuAction>
      <UiMenuAction @act="emit('screen')">Look and sound of the big screen…</UiMenuAction>
      <UiMenuAction @act="emit('write')">Write to everybody…</UiMenuAction>
      <UiMenuAction v-if="view.word" @act="desk.write('', null)">Take back what you wrote</UiMenuAction>
      <template v-if="!view.stopped">
        <UiMenuAction @act="desk.pause(false)">Pause</UiMenuAction>
        <UiMenuAction @act="emit('today')">Close for today, go on another day…</UiMenuAction>
      </template>
    </MenuItems>
  </Menu>
</template>
