<script setup lang="ts">
/** A line of the list of sessions. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import type { GameName, SessionRow } from '@/api/types'
import { dayAndTime, percent } from '@/composables/format'
import { useRenaming } from '@/composables/useRenaming'
import { deskOf } from '@/games/desks'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { field, menuPanel } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ row: SessionRow }>()
const emit = defineEmits<{
  rename: [title: string]
  openAgain: []
  archive: [archived: boolean]
  remove: []
}>()
const {
  typing: renaming,
  start: startRenaming,
  finish: finishRenaming,
} = useRenaming(
  () => props.row.title,
  (title) => emit('rename', title),
)
const title = computed(() => props.row.title || common('untitled_set'))
const about = computed(() =>
  [props.row.class_name, props.row.game ? deskOf(props.row.game as GameName).label() : '']
    .filter(Boolean)
    .join(' · '),
)
const running = computed(() => {
  if (!props.row.stopped) return t('running_to_the_desk', { code: props.row.code })
  return props.row.stopped === 'today' ? t('closed_for_today_go_on') : t('paused_go_on')
})

const waiting = computed(() =>
  props.row.waiting === 1
    ? t('one_answer_waits_for_a_mark')
    : t('answers_wait_for_a_mark', { waiting: props.row.waiting }),
)

const cell = 'px-3 py-3 sm:whitespace-nowrap'
</script>

<template>
  <tr class="border-b border-rule bg-sheet hover:bg-tide-wash/50">
    <td class="px-4 py-3">
      <input
        v-if="renaming !== null"
        ref="input"
        v-model="renaming"
        :class="field"
        :aria-label="t('title')"
        maxlength="200"
        @keydown.enter="finishRenaming"
        @keydown.esc="renaming = null"
        @blur="finishRenaming"
      />
      <RouterLink
        v-else
        :to="`/sessions/${row.id}`"
        class="text-lg font-bold wrap-anywhere hover:underline"
        >{{ title }}</RouterLink
      >
      <span v-if="about" class="block text-[15px] text-slate">{{ about }}</span>
      <span v-if="row.waiting" class="block text-[15px] text-lamp-ink">{{ waiting }}</span>
      <span v-if="row.note" class="line-clamp-1 text-[15px] text-slate" dir="auto">{{ row.note }}</span>
    </td>
    <td :class="cell" class="text-slate">{{ dayAndTime(row.created_at) }}</td>
    <td :class="cell" class="text-end tabular-nums max-sm:hidden">{{ row.took_part ?? '' }}</td>
    <td :class="cell" class="text-end tabular-nums max-sm:hidden">
      {{ row.mean_share === null ? '' : percent(row.mean_share) }}
    </td>
    <td :class="cell" class="text-end">
      <RouterLink v-if="!row.ended_at" :to="`/desk/${row.id}`" class="font-bold text-tide underline">{{
        running
      }}</RouterLink>
      <Menu v-else as="div" class="relative inline-block text-start">
        <MenuButton
          class="size-9 rounded text-xl text-slate hover:text-ink"
          :aria-label="t('more_for', { title })"
          >⋯</MenuButton
        >
        <MenuItems :class="menuPanel" class="end-0">
          <UiMenuAction @act="startRenaming">{{ t('rename') }}</UiMenuAction>
          <UiMenuAction @act="emit('openAgain')">{{ t('open_again') }}</UiMenuAction>
          <UiMenuAction @act="emit('archive', !row.archived)">{{
            row.archived ? t('put_back_into_the_list') : t('archive')
          }}</UiMenuAction>
          <UiMenuAction danger @act="emit('remove')">{{ common('delete_it') }}</UiMenuAction>
        </MenuItems>
      </Menu>
    </td>
  </tr>
</template>
