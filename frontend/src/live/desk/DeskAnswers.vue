<script setup lang="ts">
/** Opening the question again, asking it anew, clearing answers, and bringing back what was cleared. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import { useToasts } from '@/composables/useToasts'
import { button } from '@/ui/recipes'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import type { Desk } from './useDesk'

const props = defineProps<{ desk: Desk; isAsked: boolean }>()
const { show } = useToasts()

const isUseful = computed(() =>
  (['reopen', 'ask_again', 'clear_answers', 'bring_back'] as const).some((name) => props.desk.can(name)),
)
const undo = { label: 'Undo', run: () => void props.desk.bringBack() }

async function askAgain(): Promise<void> {
  if (await props.desk.askAgain()) show('Asked again. The round before stays in the report.', undo)
}

async function clear(of: 'question' | 'all'): Promise<void> {
  const what = of === 'all' ? 'All answers were cleared' : 'The answers to this question were cleared'
  if (await props.desk.clearAnswers(of)) show(`${what}. They are kept aside until the session ends.`, undo)
}
</script>

<template>
  <Menu v-if="isUseful" as="div" class="relative">
    <MenuButton :class="button('plain')">Answers…</MenuButton>
    <MenuItems
      class="absolute bottom-full left-0 z-30 mb-1 w-72 rounded border border-slate bg-sheet py-1 focus:outline-none"
    >
      <UiMenuAction v-if="desk.can('reopen')" @act="desk.reopen()"
        >Open it again: answers given stay</UiMenuAction
      >
      <UiMenuAction v-if="desk.can('ask_again')" @act="askAgain">Ask this question again</UiMenuAction>
      <UiMenuAction v-if="isAsked && desk.can('clear_answers')" @act="clear('question')"
        >Clear its answers and ask anew</UiMenuAction
      >
      <UiMenuAction v-if="desk.can('clear_answers')" @act="clear('all')"
        >Clear all answers and begin anew</UiMenuAction
      >
      <UiMenuAction v-if="desk.can('bring_back')" @act="desk.bringBack()"
        >Bring back the earlier answers</UiMenuAction
      >
    </MenuItems>
  </Menu>
</template>
