<script setup lang="ts">
/** What goes out of a session: files, pages on paper, mails, a link. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { computed, ref } from 'vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { button, menuItem, menuPanel } from '@/ui/recipes'
import MailDialog from './MailDialog.vue'
import PagesDialog from './PagesDialog.vue'
import ShareDialog from './ShareDialog.vue'
import TablesDialog from './TablesDialog.vue'
import type { Counting } from './useReportView'

const props = defineProps<{ session: number; counting: Counting; ended: boolean }>()
const open = ref<'students' | 'questions' | 'tables' | 'mail' | 'link' | null>(null)
const answers = computed(() => `/api/sessions/${props.session}/answers.csv?counting=${props.counting}`)
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton :class="button('plain')">Take out… <span aria-hidden="true">▾</span></MenuButton>
    <MenuItems :class="menuPanel" class="right-0 w-max max-w-80">
      <UiMenuAction @act="open = 'students'">A page for each student…</UiMenuAction>
      <UiMenuAction @act="open = 'questions'">A page for each question…</UiMenuAction>
      <UiMenuAction v-if="ended" @act="open = 'mail'">Mail to each student…</UiMenuAction>
      <UiMenuAction @act="open = 'link'">A link to read by…</UiMenuAction>
      <UiMenuAction @act="open = 'tables'">Every table, for other programs…</UiMenuAction>
      <MenuItem v-slot="{ active }">
        <a :href="answers" :class="[menuItem, active && 'bg-tide-wash']" download>All answers (CSV)</a>
      </MenuItem>
    </MenuItems>
  </Menu>
  <PagesDialog
    v-if="open === 'students' || open === 'questions'"
    :session="session"
    :of="open"
    :counting="counting"
    @close="open = null"
  />
  <TablesDialog v-if="open === 'tables'" :session="session" :counting="counting" @close="open = null" />
  <MailDialog v-if="open === 'mail'" :session="session" @close="open = null" />
  <ShareDialog v-if="open === 'link'" :session="session" @close="open = null" />
</template>
