<script setup lang="ts">
/** Questions from anywhere: shown line by line, mended where they were not understood, and only then added. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, onMounted, ref } from 'vue'
import { I18nT } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import ColumnUses from '@/ui/ColumnUses.vue'
import UiButton from '@/ui/UiButton.vue'
import { field, progressBar } from '@/ui/recipes'
import { registry } from '@/questions/registry'
import ImportEntry from './ImportEntry.vue'
import ImportSource from './ImportSource.vue'
import { forget, kept, useKept } from './keptOnDevice'
import { isDoubtful, useImport, type Kept, type Row } from './useImport'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'
import { listed } from '@/words'

const USES = {
  '': t('not_used'),
  question: t('question'),
  option: t('an_option'),
  choices: t('all_options_in_one'),
  tick: t('tick_beside_an_option'),
  right: t('right_answer'),
  explanation: t('explanation'),
  time: t('time_seconds'),
  weight: t('weight'),
  points: t('points'),
  topics: t('topics'),
  by: t('who_wrote_it'),
  kind: t('kind_of_question'),
  lines: t('lines_text_form'),
  checksum: t('checksum'),
  settings: t('settings_text_form'),
}
const router = useRouter()
const route = useRoute()
const client = useQueryClient()
const incoming = useImport(() => sets.data.value?.find((row) => row.id === into.value)?.about.language ?? '')
const { found, rows, usable, unsettled, doubtful, busy, error, job } = incoming
const title = ref('')
const into = ref<number | null>(Number(route.query.into) || null)
const only = ref(false)
/** Until what was kept on the device has been looked for. */
const looking = ref(true)
/** Once it is added nothing of it is kept, whatever had been changed just before. */
let added = false

const sets = useQuery({
  queryKey: ['sets', ''],
  queryFn: () => data(api.GET('/api/sets', { params: { query: { q: '' } } })),
})
const shown = computed(() => (only.value ? rows.value.filter(isDoubtful) : rows.value))
/** Rows that ask something, or were taken along although they do not. */
const asking = computed(() => rows.value.filter((row) => !(row.out && row.entry.out)))
/** What they are called together: pages are no questions. */
const counted = computed(() =>
  asking.value.some(({ entry }) => entry.item && !registry[entry.item.kind].isAsked)
    ? (n: number) => common('n_items', { n })
    : (n: number) => common('n_questions', { n }),
)
const summary = computed(() => {
  if (!asking.value.length) return t('no_questions_found_yet')
  const all = t('found', { counted: counted.value(asking.value.length) })
  const rest = asking.value.filter((row) => !row.entry.item).length
  const unsure = asking.value.filter((row) => row.entry.item && isDoubtful(row)).length
  if (!rest && !unsure) return t('all_of_them_understood', { all })
  const parts = [unsure && t('to_look_at', { n: unsure }), rest && t('not_understood', { n: rest })]
  return t('found_and', { all, parts: listed(parts.filter((part) => part !== 0)) })
})
const aside = computed(() => rows.value.length - asking.value.length)
const setsNeeded = computed(() =>
  into.value === null && found.value ? Math.ceil(usable.value.length / found.value.most_in_set) : 1,
)

interface OnDevice extends Kept {
  title: string
  into: number | null
}

onMounted(async () => {
  const before = await kept<OnDevice>()
  looking.value = false
  if (!before || found.value) return
  title.value = before.title
  into.value = into.value ?? before.into
  await incoming.goOn(before)
  title.value ||= incoming.found.value?.title ?? ''
})
const state = [found, rows, title, into, incoming.reading]
const safe = useKept(state, () => {
  const now = added ? null : incoming.kept()
  return now && { ...now, title: title.value, into: into.value }
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
  if (!doubtful.value.length) only.value = false
}

function startAnew(): void {
  incoming.startAnew()
  void forget()
}

function leaveOut(): void {
  incoming.leaveOutTheRest()
  only.value = false
}

async function add(): Promise<void> {
  const made = await incoming.add(title.value.trim(), into.value)
  if (!made) return
  added = true
  await forget()
  await client.invalidateQueries({ queryKey: ['sets'] })
  await router.push(`/sets/${made.id}`)
}
</script>

<template>
  <div class="mx-auto max-w-5xl px-6 py-7">
    <div class="mb-5 flex flex-wrap items-baseline gap-4">
      <h1 class="text-3xl">{{ t('bring_questions_in') }}</h1>
      <UiButton v-if="found" look="quiet" size="small" @click="startAnew">{{
        t('start_with_something_else')
      }}</UiButton>
      <p v-if="found && safe" class="ms-auto text-[15px] text-slate">{{ t('kept_on_this_device') }}</p>
    </div>
    <p v-if="error" role="alert" class="mb-4 text-wrong">{{ error }}</p>
    <div
      v-if="job"
      class="sticky top-2 z-10 mb-4 flex flex-wrap items-center gap-x-5 gap-y-2 border-s-4 border-lamp bg-sheet px-4 py-3 shadow-sm"
    >
      <p role="status" class="wrap-anywhere">
        <span class="block font-bold">{{ job.title }}</span>
        {{ t('it_goes_on_whatever_page_you_are_on') }}
      </p>
      <progress
        :class="progressBar"
        class="h-3 min-w-40 flex-1"
        :value="job.total ? job.done : undefined"
        :max="job.total || undefined"
        :aria-label="job.title"
      />
      <span v-if="job.total" class="figure text-slate">{{
        t('steps_done', { done: job.done, total: job.total })
      }}</span>
      <UiButton size="small" @click="incoming.stop">{{ t('stop') }}</UiButton>
    </div>
    <ImportSource v-if="!found && !looking" :busy="busy" @text="readText" @file="readFile" />
    <template v-else-if="found">
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
      <fieldset
        v-for="ask in found.asks"
        :key="ask.name"
        class="mb-4 border-s-4 bg-sheet px-3 py-2"
        :class="ask.given ? 'border-slate' : 'border-wrong'"
      >
        <legend class="float-start w-full font-bold">{{ told(ask.question) }}</legend>
        <div class="clear-both flex flex-wrap gap-x-6">
          <label v-for="way in ask.ways" :key="way.value" class="flex items-center gap-2 py-0.5"
            ><input
              type="radio"
              :name="`ask-${ask.name}`"
              :checked="ask.given === way.value"
              :disabled="busy"
              class="size-4.5 shrink-0 accent-tide"
              @change="incoming.answer(ask.name, way.value)"
            />{{ told(way.says) }}</label
          >
        </div>
      </fieldset>
      <div class="mb-2 flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h2 class="text-xl" aria-live="polite">{{ summary }}</h2>
        <label v-if="doubtful.length" class="flex items-center gap-2"
          ><input v-model="only" type="checkbox" class="size-5 accent-tide" />{{
            t('show_only_what_to_look_at')
          }}</label
        >
        <p v-if="aside && !only" class="text-[15px] text-slate">
          {{ t('lines_that_ask_nothing', { n: aside }) }}
        </p>
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
          @choose="incoming.choose(row, $event)"
          @accept="incoming.accept(row)"
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
          <p v-if="setsNeeded > 1 && found" class="mb-1 text-[15px] text-slate">
            {{ t('become_several_sets', { most: found.most_in_set, sets: setsNeeded }) }}
          </p>
          <UiButton look="main" :disabled="busy || !usable.length || unsettled.length > 0" @click="add">{{
            usable.length ? t('add', { counted: counted(usable.length) }) : t('nothing_to_add')
          }}</UiButton>
        </div>
      </form>
    </template>
  </div>
</template>
