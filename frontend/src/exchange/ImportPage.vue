<script setup lang="ts">
/** Questions from anywhere: shown line by line, mended where they were not understood, and only then added. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { I18nT } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import ColumnUses from '@/ui/ColumnUses.vue'
import UiButton from '@/ui/UiButton.vue'
import { field, smallField } from '@/ui/recipes'
import { registry } from '@/questions/registry'
import ImportEntry from './ImportEntry.vue'
import ImportSource from './ImportSource.vue'
import { isUnsettled, useImport, type Row } from './useImport'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const USES = {
  '': t('not_used'),
  question: t('question'),
  option: t('an_option'),
  right: t('right_answer'),
  explanation: t('explanation'),
  time: t('time_seconds'),
  weight: t('weight'),
  topics: t('topics'),
  by: t('who_wrote_it'),
  kind: t('kind_of_question'),
  lines: t('lines_text_form'),
  settings: t('settings_text_form'),
}
const router = useRouter()
const route = useRoute()
const client = useQueryClient()
const incoming = useImport(() => sets.data.value?.find((row) => row.id === into.value)?.about.language ?? '')
const { found, rows, usable, unsettled, busy, error } = incoming
const title = ref('')
const into = ref<number | null>(Number(route.query.into) || null)
const only = ref(false)

const sets = useQuery({
  queryKey: ['sets', ''],
  queryFn: () => data(api.GET('/api/sets', { params: { query: { q: '' } } })),
})
const shown = computed(() => (only.value ? rows.value.filter(isUnsettled) : rows.value))
/** What they are called together: pages are no questions. */
const counted = computed(() =>
  rows.value.some(({ entry }) => entry.item && !registry[entry.item.kind].isAsked)
    ? (n: number) => common('n_items', { n })
    : (n: number) => common('n_questions', { n }),
)
const summary = computed(() => {
  if (!rows.value.length) return t('no_questions_found_yet')
  const understood = rows.value.filter((row) => row.entry.item).length
  const rest = rows.value.length - understood
  const all = t('found', { counted: counted.value(rows.value.length) })
  return rest ? t('understood_not', { all, understood, rest }) : t('all_of_them_understood', { all })
})

async function readText(text: string): Promise<void> {
  await incoming.readText(text)
  settle()
}

async function readFile(file: File): Promise<void> {
  await incoming.readFile(file)
  settle()
}

function settle(): void {
  only.value = false
  title.value = found.value?.title ?? ''
}

async function mend(row: Row, text: string): Promise<void> {
  await incoming.mend(row, text)
  if (!unsettled.value.length) only.value = false
}

function leaveOut(): void {
  incoming.leaveOutTheRest()
  only.value = false
}

async function add(): Promise<void> {
  const made = await incoming.add(title.value.trim(), into.value)
  if (!made) return
  await client.invalidateQueries({ queryKey: ['sets'] })
  await router.push(`/sets/${made.id}`)
}
</script>

<template>
  <div class="mx-auto max-w-5xl px-6 py-7">
    <div class="mb-5 flex flex-wrap items-baseline gap-4">
      <h1 class="text-3xl">{{ t('bring_questions_in') }}</h1>
      <UiButton v-if="found" look="quiet" size="small" @click="incoming.startAnew">{{
        t('start_with_something_else')
      }}</UiButton>
    </div>
    <p v-if="error" role="alert" class="mb-4 text-wrong">{{ error }}</p>
    <ImportSource v-if="!found" :busy="busy" @text="readText" @file="readFile" />
    <template v-else>
      <p
        v-for="note in found.notes"
        :key="note.sentence"
        role="status"
        class="mb-2 border-s-4 border-slate bg-sheet px-3 py-1.5 wrap-anywhere"
      >
        {{ told(note) }}
      </p>
      <ColumnUses
        v-if="found.columns.length"
        :columns="found.columns"
        :uses="USES"
        :needed="['question']"
        :hint="t('it_is_remembered_for_files_with')"
        @use="incoming.useColumn"
      />
      <label v-if="found.ways.length" class="mb-3 block"
        >{{ t('bring_its_pages_in_as') }}
        <select
          :value="found.way"
          :class="smallField"
          @change="incoming.readAs(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="way in found.ways" :key="way" :value="way">{{ way }}</option>
        </select>
      </label>
      <div class="mb-2 flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h2 class="text-xl" aria-live="polite">{{ summary }}</h2>
        <label v-if="unsettled.length" class="flex items-center gap-2"
          ><input v-model="only" type="checkbox" class="size-5 accent-tide" />{{
            t('show_only_what_was_not_understood')
          }}</label
        >
      </div>
      <ul>
        <ImportEntry
          v-for="row in shown"
          :key="row.key"
          :row="row"
          :previews="found.previews"
          :busy="busy"
          @mend="mend(row, $event)"
          @leave="row.out = $event"
        />
      </ul>
      <form
        class="bottom-0 mt-6 flex flex-wrap items-end gap-4 border-t border-slate bg-fog py-4 sm:sticky"
        @submit.prevent="add"
      >
        <label class="min-w-52 flex-1"
          >{{ t('add_them_to') }}
          <select v-model="into" :class="field">
            <option :value="null">{{ t('a_new_set') }}</option>
            <option v-for="set in sets.data.value" :key="set.id" :value="set.id">
              {{ set.title || common('untitled_set') }}
            </option>
          </select>
        </label>
        <label v-if="into === null" class="min-w-52 flex-1"
          >{{ t('title_of_the_new_set') }}
          <input v-model="title" :class="field" maxlength="200" :placeholder="common('untitled_set')" />
        </label>
        <div class="text-end">
          <p v-if="unsettled.length" class="mb-1 text-[15px] text-slate">
            <I18nT :keypath="t.path('mend_places_first_or')" :plural="unsettled.length" scope="global"
              ><template #leave_out
                ><button type="button" class="font-bold text-tide hover:underline" @click="leaveOut">
                  {{ t('leave_out_unsettled', { n: unsettled.length }) }}
                </button></template
              ></I18nT
            >
          </p>
          <UiButton look="main" :disabled="busy || !usable.length || unsettled.length > 0" @click="add">{{
            usable.length ? t('add', { counted: counted(usable.length) }) : t('nothing_to_add')
          }}</UiButton>
        </div>
      </form>
    </template>
  </div>
</template>
