<script setup lang="ts">
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { SetRow } from '@/api/types'
import { dateOf } from '@/composables/format'
import { useRenaming } from '@/composables/useRenaming'
import { pictureUrl } from '@/media/shown/pictures'
import UiButton from '@/ui/UiButton.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import type { Branch } from './useFolders'
import { field, menuPanel } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ row: SetRow; folders: readonly Branch[] }>()
const emit = defineEmits<{
  run: []
  rename: [title: string]
  copy: []
  variant: []
  takeOut: []
  move: [folder: number | null]
  remove: []
}>()

const router = useRouter()
const {
  typing: renaming,
  start: startRenaming,
  finish: finishRenaming,
} = useRenaming(
  () => props.row.title,
  (title) => emit('rename', title),
)

const about = computed(() => {
  const { subject, topics, tags } = props.row.about
  const origin = props.row.made_from
    ? t('variant_of', { title: props.row.made_from.title || t('an_untitled_set') })
    : ''
  return [origin, subject, ...(topics ?? []), ...(tags ?? [])].filter(Boolean).join(' · ')
})

function content(row: SetRow): string {
  const parts = [
    common('n_questions', { n: row.questions }),
    row.pages ? common('n_pages', { n: row.pages }) : '',
  ]
  return parts.filter(Boolean).join(', ')
}
</script>

<template>
  <tr class="flex flex-wrap items-center border-b border-rule bg-sheet hover:bg-tide-wash/50 sm:table-row">
    <td class="w-full px-4 pt-3 sm:max-w-0 sm:py-3">
      <input
        v-if="renaming !== null"
        ref="input"
        v-model="renaming"
        :class="field"
        :aria-label="t('title')"
        @keydown.enter="finishRenaming"
        @keydown.esc="renaming = null"
        @blur="finishRenaming"
      />
      <div v-else class="flex items-start gap-3">
        <img
          v-if="row.about.cover"
          :src="pictureUrl(row.about.cover, 480)"
          alt=""
          class="h-14 w-20 shrink-0 rounded object-cover"
          loading="lazy"
        />
        <div class="min-w-0">
          <RouterLink
            :to="`/sets/${row.id}`"
            dir="auto"
            class="block text-lg leading-snug font-bold wrap-anywhere hover:underline"
            >{{ row.title || common('untitled_set') }}</RouterLink
          >
          <span class="line-clamp-1 text-[15px] text-slate" dir="auto">{{ row.first_question }}</span>
          <span v-if="about" class="block truncate text-sm text-slate">{{ about }}</span>
        </div>
      </div>
    </td>
    <td class="grow px-4 py-3 whitespace-nowrap sm:px-3">{{ content(row) }}</td>
    <td class="hidden px-3 py-3 whitespace-nowrap text-slate sm:table-cell">{{ dateOf(row.updated_at) }}</td>
    <td class="hidden px-3 py-3 whitespace-nowrap text-slate sm:table-cell">
      {{ row.last_run ? dateOf(row.last_run) : t('not_yet') }}
    </td>
    <td class="px-3 py-3">
      <div class="flex items-center justify-end gap-1">
        <UiButton size="small" :disabled="!row.questions && !row.pages" @click="emit('run')"
          >{{ t('run_it') }}<span class="sr-only"> {{ row.title }}</span></UiButton
        >
        <Menu as="div" class="relative">
          <MenuButton
            class="size-9 rounded text-xl text-slate hover:text-ink"
            :aria-label="t('more_for', { title: row.title })"
            >⋯</MenuButton
          >
          <MenuItems :class="menuPanel" class="end-0">
            <UiMenuAction @act="router.push(`/sets/${row.id}`)">{{ t('open') }}</UiMenuAction>
            <UiMenuAction @act="router.push(`/work/give?set=${row.id}`)">{{
              t('set_it_as_work')
            }}</UiMenuAction>
            <UiMenuAction @act="startRenaming">{{ t('rename') }}</UiMenuAction>
            <UiMenuAction @act="emit('copy')">{{ t('copy') }}</UiMenuAction>
            <UiMenuAction @act="emit('variant')">{{ t('make_a_variant') }}</UiMenuAction>
            <UiMenuAction @act="emit('takeOut')">{{ t('take_out') }}</UiMenuAction>
            <template v-if="folders.length">
              <p class="px-3 pt-1.5 text-sm text-slate">{{ t('move_to') }}</p>
              <UiMenuAction v-if="row.folder !== null" @act="emit('move', null)">{{
                t('the_top')
              }}</UiMenuAction>
              <template v-for="branch in folders" :key="branch.id">
                <UiMenuAction v-if="branch.id !== row.folder" @act="emit('move', branch.id)">{{
                  branch.path
                }}</UiMenuAction>
              </template>
            </template>
            <UiMenuAction danger @act="emit('remove')">{{ common('delete_it') }}</UiMenuAction>
          </MenuItems>
        </Menu>
      </div>
    </td>
  </tr>
</template>
