<script setup lang="ts">
/** Opening the question again, asking it anew, clearing answers, and bringing back what was cleared. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import { useToasts } from '@/composables/useToasts'
import { button } from '@/ui/recipes'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import type { Desk } from './useDesk'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ desk: Desk; isAsked: boolean }>()
const { show } = useToasts()

const isUseful = computed(() =>
  (['reopen', 'ask_again', 'clear_answers', 'bring_back'] as const).some((name) => props.desk.can(name)),
)
const undo = { label: common('undo'), run: () => void props.desk.bringBack() }

async function askAgain(): Promise<void> {
  if (await props.desk.askAgain()) show(t('asked_again_the_round_before_stays'), undo)
}

async function clear(of: 'question' | 'all'): Promise<void> {
  const what = of === 'all' ? t('all_answers_were_cleared') : t('the_answers_to_this_question_were')
  if (await props.desk.clearAnswers(of)) show(t('they_are_kept_aside_until', { what }), undo)
}
</script>

<template>
  <Menu v-if="isUseful" as="div" class="relative">
    <MenuButton :class="button('plain')">{{ t('answers') }}</MenuButton>
    <MenuItems
      class="absolute bottom-full start-0 z-30 mb-1 w-72 rounded border border-slate bg-sheet py-1 focus:outline-none"
    >
      <UiMenuAction v-if="desk.can('reopen')" @act="desk.reopen()">{{
        t('open_it_again_answers_given_stay')
      }}</UiMenuAction>
      <UiMenuAction v-if="desk.can('ask_again')" @act="askAgain">{{
        t('ask_this_question_again')
      }}</UiMenuAction>
      <UiMenuAction v-if="isAsked && desk.can('clear_answers')" @act="clear('question')">{{
        t('clear_its_answers_and_ask_anew')
      }}</UiMenuAction>
      <UiMenuAction v-if="desk.can('clear_answers')" @act="clear('all')">{{
        t('clear_all_answers_and_begin_anew')
      }}</UiMenuAction>
      <UiMenuAction v-if="desk.can('bring_back')" @act="desk.bringBack()">{{
        t('bring_back_the_earlier_answers')
      }}</UiMenuAction>
    </MenuItems>
  </Menu>
</template>
