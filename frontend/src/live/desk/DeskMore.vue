<script setup lang="ts">
/** What is done now and then: a pause, time for everybody, papers given back, a word to all. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import type { DeskView } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { button } from '@/ui/recipes'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import type { Desk } from './useDesk'
import { t } from './words'

const props = defineProps<{ view: DeskView; desk: Desk }>()
const emit = defineEmits<{ write: []; screen: []; remote: []; today: [] }>()
const { show } = useToasts()
const mayGiveBack = computed(() => props.desk.can('reopen_paper') && props.view.handed_in > 0)

async function giveTime(seconds: number): Promise<void> {
  if (await props.desk.giveTime(seconds, null)) show(t('everybody_has_minutes_more', { n: seconds / 60 }))
}
async function giveBack(): Promise<void> {
  if (await props.desk.reopenPaper(null)) show(t('papers_that_were_not_handed'))
}
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton :class="button('plain')">{{ t('more') }}</MenuButton>
    <MenuItems
      class="absolute bottom-full start-0 z-30 mb-1 w-72 rounded border border-slate bg-sheet py-1 focus:outline-none"
    >
      <template v-if="desk.can('give_time')">
        <UiMenuAction @act="giveTime(120)">{{ t('two_minutes_more_for_everybody') }}</UiMenuAction>
        <UiMenuAction @act="giveTime(300)">{{ t('five_minutes_more_for_everybody') }}</UiMenuAction>
      </template>
      <UiMenuAction v-if="desk.can('open_feedback')" @act="desk.openFeedback()">{{
        t('let_them_see_what_was_right')
      }}</UiMenuAction>
      <UiMenuAction v-if="mayGiveBack" @act="giveBack">{{ t('give_papers_back') }}</UiMenuAction>
      <UiMenuAction
        v-if="desk.can('show_standings') && view.next === 'reveal' && view.settings.show_standings"
        @act="desk.standings()"
        >{{ t('standings_without_the_right_answer') }}</UiMenuAction
      >
      <template v-if="desk.can('talk')">
        <UiMenuAction @act="desk.talk(60)">{{ t('talk_for_a_minute_then_vote') }}</UiMenuAction>
        <UiMenuAction @act="desk.talk(300)">{{ t('talk_for_five_minutes_then_vote') }}</UiMenuAction>
      </template>
      <UiMenuAction v-if="desk.can('hide_share')" @act="desk.hideShare(!view.share_hidden)">{{
        view.share_hidden ? t('show_the_class_how_much') : t('hide_from_the_class_how_much')
      }}</UiMenuAction>
      <UiMenuAction @act="desk.lock(!view.locked)">{{
        view.locked ? t('unlock_the_doors') : t('lock_the_doors_nobody_new_comes')
      }}</UiMenuAction>
      <UiMenuAction @act="emit('remote')">{{ t('your_phone_as_a_remote') }}</UiMenuAction>
      <UiMenuAction @act="emit('screen')">{{ t('look_and_sound_of_the_big') }}</UiMenuAction>
      <UiMenuAction @act="emit('write')">{{ t('write_to_everybody') }}</UiMenuAction>
      <UiMenuAction v-if="view.word" @act="desk.write('', null)">{{
        t('take_back_what_you_wrote')
      }}</UiMenuAction>
      <template v-if="!view.stopped">
        <UiMenuAction @act="desk.pause(false)">{{ t('pause') }}</UiMenuAction>
        <UiMenuAction @act="emit('today')">{{ t('close_for_today_go_on_another') }}</UiMenuAction>
      </template>
    </MenuItems>
  </Menu>
</template>
