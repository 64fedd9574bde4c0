<script setup lang="ts">
/** A grade book: sessions of a class with their weights, totals, grades. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { TableFormat } from '@/api/types'
import { useJobs } from '@/aside'
import { fixed, percent, score, shortDay } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import UiMenuLink from '@/ui/UiMenuLink.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { button, menuPanel } from '@/ui/recipes'
import GradeScale from './GradeScale.vue'
import GradeSettings from './GradeSettings.vue'
import { useGradeBook } from './useGradeBook'
import { namesShown } from './useReportView'
import { figure } from '@/words'
import { t } from './words'
import { t as common } from '@/ui/words'

const id = Number(useRoute().params.id)
const router = useRouter()
const { show } = useToasts()
const { begin } = useJobs()
const { detail, error, refused, change, remove } = useGradeBook(id)
const asking = ref(false)
const untitled = computed(() => t('grades_of', { name: detail.value?.class_name ?? '' }))
useTitle(
  computed(() =>
    common('page_title', { title: detail.value ? detail.value.name || untitled.value : t('grade_book') }),
  ),
)
const book = computed(() => detail.value?.book)
const graded = computed(() => !!detail.value?.scheme.scale.length)
const waiting = computed(() => book.value?.columns.reduce((sum, one) => sum + one.waiting, 0) ?? 0)
const steps = computed(() =>
  detail.value?.scheme.step === '0.1' || detail.value?.scheme.step === 'none' ? 1 : 0,
)
const inPercent = (total: number | null): string => (total === null ? '–' : `${fixed(total, steps.value)} %`)

async function take(format: TableFormat): Promise<void> {
  const params = { path: { book_id: id } }
  const body = { format, to: 'download' as const }
  const sentence = await begin(() => data(api.POST('/api/grade-books/{book_id}/files', { params, body })))
  if (sentence) show(sentence)
}
async function removeIt(): Promise<void> {
  const to = detail.value!.class_id
  try {
    await remove()
    await router.push(`/classes/${to}/results`)
  } catch (failure) {
    show(sentenceOf(failure))
  }
}
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!detail || !book" class="text-slate">{{ t('fetching_the_grades') }}</p>
    <template v-else>
      <div class="mb-4 flex flex-wrap items-start gap-3">
        <div class="min-w-0 grow basis-80">
          <h1 class="sr-only">{{ detail.name || untitled }}</h1>
          <input
            :value="detail.name"
            :aria-label="t('name_of_the_grade_book')"
            :placeholder="untitled"
            maxlength="120"
            class="figure w-full max-w-xl rounded border border-transparent bg-transparent text-3xl hover:border-edge focus:border-edge focus:bg-sheet"
            @change="change({ name: ($event.target as HTMLInputElement).value })"
          />
          <RouterLink
            :to="`/classes/${detail.class_id}/results`"
            class="block w-max py-1 font-bold text-tide hover:underline"
            >{{ t('over_time_2', { class_name: detail.class_name }) }}</RouterLink
          >
        </div>
        <Menu as="div" class="relative">
          <MenuButton :class="button('plain')"
            >{{ t('take_out') }} <span aria-hidden="true">▾</span></MenuButton
          >
          <MenuItems :class="menuPanel" class="end-0 w-max max-w-80">
            <UiMenuAction @act="take('xlsx')">{{ t('workbook_xlsx') }}</UiMenuAction>
            <UiMenuAction @act="take('ods')">{{ t('opendocument_spreadsheet_ods') }}</UiMenuAction>
            <UiMenuLink :href="`/api/grade-books/${id}/grades.csv`">{{ t('table_csv') }}</UiMenuLink>
            <UiMenuLink :href="`/api/grade-books/${id}/oneroster.zip`">{{
              t('oneroster_1_2_results')
            }}</UiMenuLink>
          </MenuItems>
        </Menu>
        <UiButton look="quiet" @click="asking = true">{{ common('delete_it') }}</UiButton>
      </div>
      <p v-if="refused" role="alert" class="mb-3 text-wrong">{{ refused }}</p>
      <p v-if="waiting" class="mb-4 rounded border border-lamp-ink bg-lamp-wash px-4 py-2.5 text-lamp-ink">
        {{ t('answers_have_no_mark_by_hand', { n: waiting }) }}
      </p>
      <EmptyNote v-if="!detail.sessions.length" :title="t('no_session_yet')">
        {{ t('once_a_session_of_this_class') }}
      </EmptyNote>
      <div v-else class="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[20rem_minmax(0,1fr)]">
        <div class="space-y-5">
          <GradeSettings
            :scheme="detail.scheme"
            :sessions="detail.sessions"
            @change="change({ scheme: $event })"
          />
          <GradeScale :scheme="detail.scheme" :grades="book.grades" @change="change({ scheme: $event })" />
        </div>
        <section class="rounded border border-rule bg-sheet py-3.5" aria-labelledby="totals">
          <div class="flex flex-wrap items-baseline gap-x-5 px-4.5 pb-2">
            <h2 id="totals" class="text-lg">{{ t('totals') }}</h2>
            <span v-if="book.mean !== null" class="text-slate">{{
              t('mean', { mean: figure(Math.round(book.mean * 10) / 10) })
            }}</span>
            <label class="flex items-center gap-1.5 text-[15px] text-slate"
              ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />{{
                t('names')
              }}</label
            >
          </div>
          <div
            class="relative overflow-auto"
            tabindex="0"
            role="group"
            :aria-label="t('totals_to_be_scrolled')"
          >
            <table class="w-full text-[15px]">
              <thead>
                <tr class="border-b border-rule text-start align-bottom text-sm text-slate">
                  <th scope="col" class="sticky start-0 bg-sheet py-1 ps-4.5 font-normal">
                    {{ common('name') }}
                  </th>
                  <th v-if="graded" scope="col" class="px-2 py-1 font-normal">{{ t('grade') }}</th>
                  <th scope="col" class="px-2 py-1 text-end font-normal">{{ t('total') }}</th>
                  <th
                    v-for="column in book.columns"
                    :key="column.session"
                    scope="col"
                    class="max-w-28 min-w-20 px-2 py-1 text-end font-normal"
                  >
                    <RouterLink :to="`/sessions/${column.session}`" class="line-clamp-2 hover:underline">{{
                      column.title || common('untitled_set')
                    }}</RouterLink>
                    <span class="block whitespace-nowrap"
                      >{{ shortDay(column.at) }} · ×{{ column.weight }}</span
                    >
                  </th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(line, at) in book.lines" :key="line.student" class="border-b border-rule">
                  <th
                    scope="row"
                    class="sticky start-0 max-w-48 truncate bg-sheet py-1 ps-4.5 text-start font-normal"
                  >
                    {{ namesShown ? line.name : t('student', { number: at + 1 }) }}
                  </th>
                  <td v-if="graded" class="px-2 font-bold">{{ line.grade || '–' }}</td>
                  <td class="px-2 text-end font-bold whitespace-nowrap tabular-nums">
                    {{ inPercent(line.total) }}
                  </td>
                  <td
                    v-for="(cell, place) in line.cells"
                    :key="place"
                    class="px-2 text-end whitespace-nowrap tabular-nums"
                    :class="cell.dropped && 'text-slate line-through'"
                    :title="
                      cell.score === null
                        ? t('did_not_take_part')
                        : t('of_2', { score: score(cell.score), out_of: cell.out_of })
                    "
                  >
                    {{ cell.share === null ? '–' : percent(cell.share) }}
                    <span v-if="cell.dropped" class="sr-only">{{ t('left_out') }}</span>
                  </td>
                </tr>
              </tbody>
              <tfoot>
                <tr class="text-slate">
                  <th scope="row" class="sticky start-0 bg-sheet py-1 ps-4.5 text-start font-normal">
                    {{ t('mean_2') }}
                  </th>
                  <td v-if="graded"></td>
                  <td class="px-2 text-end tabular-nums">
                    {{ book.mean === null ? '–' : `${Math.round(book.mean * 10) / 10} %` }}
                  </td>
                  <td v-for="column in book.columns" :key="column.session" class="px-2 text-end tabular-nums">
                    {{ column.mean === null ? '–' : percent(column.mean) }}
                  </td>
                </tr>
              </tfoot>
            </table>
          </div>
        </section>
      </div>
    </template>
    <UiDialog :open="asking" :title="t('delete_this_grade_book')" @close="asking = false">
      <p>{{ t('its_weights_bounds_and_name_go') }}</p>
      <div class="mt-5 flex gap-3">
        <UiButton look="danger" @click="removeIt">{{ t('delete_it') }}</UiButton>
        <UiButton @click="asking = false">{{ common('leave_it') }}</UiButton>
      </div>
    </UiDialog>
  </div>
</template>
