<script setup lang="ts">
/** What goes out of a session: files, pages on paper, mails, a link. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed, ref } from 'vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import UiMenuLink from '@/ui/UiMenuLink.vue'
import { button, menuPanel } from '@/ui/recipes'
import MailDialog from './MailDialog.vue'
import PagesDialog from './PagesDialog.vue'
import ShareDialog from './ShareDialog.vue'
import TablesDialog from './TablesDialog.vue'
import type { Counting } from './useReportView'
import { t } from './words'

const props = defineProps<{ session: number; counting: Counting; ended: boolean }>()
const open = ref<'students' | 'questions' | 'tables' | 'mail' | 'link' | null>(null)
const answers = computed(() => `/api/sessions/${props.session}/answers.csv?counting=${props.counting}`)
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton :class="button('plain')">{{ t('take_out') }} <span aria-hidden="true">▾</span></MenuButton>
    <MenuItems :class="menuPanel" class="end-0 w-max max-w-80">
      <UiMenuAction @act="open = 'students'">{{ t('a_page_for_each_student_2') }}</UiMenuAction>
      <UiMenuAction @act="open = 'questions'">{{ t('a_page_for_each_question_2') }}</UiMenuAction>
      <UiMenuAction v-if="ended" @act="open = 'mail'">{{ t('mail_to_each_student_2') }}</UiMenuAction>
      <UiMenuAction @act="open = 'link'">{{ t('a_link_to_read_by_2') }}</UiMenuAction>
      <UiMenuAction @act="open = 'tables'">{{ t('every_table_for_other_programs') }}</UiMenuAction>
      <UiMenuLink :href="answers">{{ t('all_answers_csv') }}</UiMenuLink>
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
