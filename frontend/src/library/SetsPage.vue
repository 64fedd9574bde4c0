<script setup lang="ts">
import { refDebounced, useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { sentenceOf } from '@/told'
import type { SetRow } from '@/api/types'
import { ExportDialog } from '@/exchange'
import { RunDialog, UnpreparedDialog } from '@/live/run'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import { field, smallField } from '@/ui/recipes'
import SetListRow from './SetListRow.vue'
import FolderTree from './FolderTree.vue'
import { sorted, type Sort } from './sorting'
import { inside, useFolders } from './useFolders'
import { useSets } from './useSets'
import { t } from './words'
import { t as common } from '@/ui/words'

const router = useRouter()
const search = ref('')
const { sets, error, isPending, create, rename, copy, variant, moveTo, remove } = useSets(
  refDebounced(search, 200),
)
const running = ref<SetRow | null>(null)
const isUnprepared = ref(false)
const leaving = ref<SetRow | null>(null)
const folder = ref<number | null>(null)
const tag = ref('')
const sort = useLocalStorage<Sort>('lantern.sets.sort', 'changed')
const { branches, folders } = useFolders()

const tags = computed(() => [...new Set(sets.value?.flatMap((row) => row.about.tags ?? []))].sort())
const here = computed(() => {
  const places = folder.value === null ? null : inside(folders.value ?? [], folder.value)
  return sorted(
    (sets.value ?? []).filter(
      (row) =>
        (!places || (row.folder !== null && places.has(row.folder))) &&
        (!tag.value || row.about.tags?.includes(tag.value)),
    ),
    sort.value,
  )
})
const HEADS = [
  { sort: 'name', label: t('title'), class: 'px-4' },
  { sort: null, label: t('what_is_in_it'), class: 'px-3' },
  { sort: 'changed', label: t('last_changed'), class: 'px-3' },
  { sort: 'run', label: t('last_run'), class: 'px-3' },
] as const

async function startNew(): Promise<void> {
  const made = await create(folder.value)
  if (made) await router.push(`/sets/${made.id}`)
}

async function makeVariant(row: SetRow): Promise<void> {
  const made = await variant(row)
  if (made) await router.push(`/sets/${made.id}`)
}
</script>

<template>
  <div class="mx-auto max-w-6xl px-6 py-7">
    <div class="mb-5 flex flex-wrap items-center gap-4">
      <h1 class="text-3xl">{{ t('sets') }}</h1>
      <span v-if="sets && !search" class="pt-1.5 text-slate">{{ common('n_sets', { n: sets.length }) }}</span>
      <label class="ms-auto w-full sm:w-52 sm:max-w-72 sm:grow">
        <span class="sr-only">{{ t('search_titles_and_questions') }}</span>
        <input
          v-model="search"
          type="search"
          :class="field"
          :placeholder="t('search_titles_and_questions')"
        />
      </label>
      <UiButton @click="isUnprepared = true">{{ t('start_without_a_set') }}</UiButton>
      <UiButton @click="router.push('/bring-in')">{{ t('bring_in') }}</UiButton>
      <UiButton @click="router.push('/pick')">{{ t('pick_questions') }}</UiButton>
      <UiButton look="main" @click="startNew">{{ t('new_set') }}</UiButton>
    </div>
    <div class="grid gap-6 lg:grid-cols-[12rem_minmax(0,1fr)]">
      <aside v-if="sets?.length || branches.length || search" :aria-label="t('where_sets_lie')">
        <FolderTree v-model="folder" />
        <label v-if="tags.length" class="mt-4 block ps-2 text-[15px]"
          >{{ t('tag') }}
          <select v-model="tag" :class="smallField" class="w-full">
            <option value="">{{ t('any') }}</option>
            <option v-for="one in tags" :key="one">{{ one }}</option>
          </select>
        </label>
        <label class="mt-3 block ps-2 text-[15px] lg:hidden"
          >{{ t('sorted_by') }}
          <select v-model="sort" :class="smallField">
            <option value="changed">{{ t('last_change') }}</option>
            <option value="name">{{ t('title_2') }}</option>
            <option value="run">{{ t('last_run_2') }}</option>
          </select>
        </label>
      </aside>
      <div
        class="min-w-0"
        :class="sets?.length || branches.length || search ? 'lg:col-start-2' : 'lg:col-span-2'"
      >
        <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
        <p v-else-if="isPending" class="text-slate">{{ t('fetching_your_sets') }}</p>
        <EmptyNote v-else-if="!sets?.length && search" :title="t('nothing_found')">
          {{ t('no_title_and_no_question_contains', { search }) }}
        </EmptyNote>
        <EmptyNote v-else-if="!sets?.length" :title="t('write_your_first_set')">
          <p>{{ t('a_set_is_a_page') }}</p>
          <div class="mt-5 flex flex-wrap justify-center gap-3">
            <UiButton look="main" @click="startNew">{{ t('new_set') }}</UiButton>
            <UiButton @click="router.push('/bring-in')">{{ t('bring_questions_in_2') }}</UiButton>
          </div>
        </EmptyNote>
        <EmptyNote v-else-if="!here.length" :title="t('nothing_lies_here_yet')">
          {{ t('move_a_set_here') }}
        </EmptyNote>
        <table v-else class="block w-full border-collapse sm:table">
          <thead class="hidden sm:table-header-group">
            <tr class="border-b border-rule text-start text-sm text-slate">
              <th
                v-for="head in HEADS"
                :key="head.label"
                class="py-2 font-normal"
                :class="head.class"
                :aria-sort="head.sort === sort ? (sort === 'name' ? 'ascending' : 'descending') : undefined"
              >
                <button
                  v-if="head.sort"
                  type="button"
                  class="whitespace-nowrap hover:underline"
                  @click="sort = head.sort"
                >
                  {{ head.label
                  }}<span v-if="head.sort === sort" aria-hidden="true">
                    {{ sort === 'name' ? '↑' : '↓' }}</span
                  >
                </button>
                <template v-else>{{ head.label }}</template>
              </th>
              <th class="px-3 py-2 font-normal">
                <span class="sr-only">{{ t('actions') }}</span>
              </th>
            </tr>
          </thead>
          <tbody class="block sm:table-row-group">
            <SetListRow
              v-for="row in here"
              :key="row.id"
              :row="row"
              @run="running = row"
              @take-out="leaving = row"
              @rename="rename(row, $event)"
              :folders="branches"
              @copy="copy(row)"
              @variant="makeVariant(row)"
              @move="moveTo(row, $event)"
              @remove="remove(row)"
            />
          </tbody>
        </table>
      </div>
    </div>
    <UnpreparedDialog v-if="isUnprepared" @close="isUnprepared = false" />
    <ExportDialog v-if="leaving" :set="leaving.id" :title="leaving.title" @close="leaving = null" />
    <RunDialog v-if="running" :set="running.id" :title="running.title" @close="running = null" />
  </div>
</template>
