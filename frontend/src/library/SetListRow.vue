<script setup lang="ts">
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { SetRow } from '@/api/types'
import { counted, dateOf } from '@/composables/format'
import { useRenaming } from '@/composables/useRenaming'
import { pictureUrl } from '@/media/shown/pictures'
import UiButton from '@/ui/UiButton.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import type { Branch } from './useFolders'
import { field, menuPanel } from '@/ui/recipes'

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
  const origin = props.row.made_from ? `variant of ${props.row.made_from.title || 'an untitled set'}` : ''
  return [origin, subject, ...(topics ?? []), ...(tags ?? [])].filter(Boolean).join(' · ')
})

function content(row: SetRow): string {
  const parts = [counted(row.questions, 'question'), row.pages ? counted(row.pages, 'page') : '']
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
        aria-label="Title"
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
            class="block text-lg leading-snug font-bold wrap-anywhere hover:underline"
            >{{ row.title || 'Untitled set' }}</RouterLink
          >
          <span class="line-clamp-1 text-[15px] text-slate">{{ row.first_question }}</span>
          <span v-if="about" class="block truncate text-sm text-slate">{{ about }}</span>
        </div>
      </div>
    </td>
    <td class="grow px-4 py-3 whitespace-nowrap sm:px-3">{{ content(row) }}</td>
    <td class="hidden px-3 py-3 whitespace-nowrap text-slate sm:table-cell">{{ dateOf(row.updated_at) }}</td>
    <td class="hidden px-3 py-3 whitespace-nowrap text-slate sm:table-cell">
      {{ row.last_run ? dateOf(row.last_run) : 'not yet' }}
    </td>
    <td class="px-3 py-3">
      <div class="flex items-center justify-end gap-1">
        <UiButton size="small" :disabled="!row.questions && !row.pages" @click="emit('run')"
          >Run it…<span class="sr-only"> {{ row.title }}</span></UiButton
        >
        <Menu as="div" class="relative">
          <MenuButton
            class="size-9 rounded text-xl text-slate hover:text-ink"
            :aria-label="`More for ${row.title}`"
            >⋯</MenuButton
          >
          <MenuItems :class="menuPanel" class="right-0">
            <UiMenuAction @act="router.push(`/sets/${row.id}`)">Open</UiMenuAction>
            <UiMenuAction @act="router.push(`/work/give?set=${row.id}`)">Set it as work…</UiMenuAction>
            <UiMenuAction @act="startRenaming">Rename</UiMenuAction>
            <UiMenuAction @act="emit('copy')">Copy</UiMenuAction>
            <UiMenuAction @act="emit('variant')">Make a variant</UiMenuAction>
            <UiMenuAction @act="emit('takeOut')">Take out…</UiMenuAction>
            <template v-if="folders.length">
              <p class="px-3 pt-1.5 text-sm text-slate">Move to</p>
              <UiMenuAction v-if="row.folder !== null" @act="emit('move', null)">the top</UiMenuAction>
              <template v-for="branch in folders" :key="branch.id">
                <UiMenuAction v-if="branch.id !== row.folder" @act="emit('move', branch.id)">{{
                  branch.path
                }}</UiMenuAction>
              </template>
            </template>
            <UiMenuAction danger @act="emit('remove')">Delete</UiMenuAction>
          </MenuItems>
        </Menu>
      </div>
    </td>
  </tr>
</template>
