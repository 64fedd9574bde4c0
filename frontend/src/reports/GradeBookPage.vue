<script setup lang="ts">
/** A grade book: sessions of a class with their weights, totals, grades. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { TableFormat } from '@/api/types'
import { useJobs } from '@/aside'
import { percent, score, shortDay } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { button, menuItem, menuPanel } from '@/ui/recipes'
import GradeScale from './GradeScale.vue'
import GradeSettings from './GradeSettings.vue'
import { useGradeBook } from './useGradeBook'
import { namesShown } from './useReportView'

const id = Number(useRoute().params.id)
const router = useRouter()
const { show } = useToasts()
const { begin } = useJobs()
const { detail, error, refused, change, remove } = useGradeBook(id)
const asking = ref(false)
useTitle(computed(() => `${detail.value?.name ?? 'Grade book'} · Tall Lantern`))
const book = computed(() => detail.value?.book)
const graded = computed(() => !!detail.value?.scheme.scale.length)
const waiting = computed(() => book.value?.columns.reduce((sum, one) => sum + one.waiting, 0) ?? 0)
const steps = computed(() =>
  detail.value?.scheme.step === '0.1' || detail.value?.scheme.step === 'none' ? 1 : 0,
)
const inPercent = (total: number | null): string => (total === null ? '–' : `${total.toFixed(steps.value)} %`)

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
    <p v-else-if="!detail || !book" class="text-slate">Fetching the grades…</p>
    <template v-else>
      <div class="mb-4 flex flex-wrap items-start gap-3">
        <div class="min-w-0 grow basis-80">
          <h1 class="sr-only">{{ detail.name }}</h1>
          <input
            :value="detail.name"
            aria-label="Name of the grade book"
            maxlength="120"
            class="figure w-full max-w-xl rounded border border-transparent bg-transparent text-3xl hover:border-edge focus:border-edge focus:bg-sheet"
            @change="change({ name: ($event.target as HTMLInputElement).value })"
          />
          <RouterLink
            :to="`/classes/${detail.class_id}/results`"
            class="block w-max py-1 font-bold text-tide hover:underline"
            >{{ detail.class_name }} over time</RouterLink
          >
        </div>
        <Menu as="div" class="relative">
          <MenuButton :class="button('plain')">Take out… <span aria-hidden="true">▾</span></MenuButton>
          <MenuItems :class="menuPanel" class="right-0 w-max max-w-80">
            <UiMenuAction @act="take('xlsx')">Workbook (xlsx)</UiMenuAction>
            <UiMenuAction @act="take('ods')">OpenDocument spreadsheet (ods)</UiMenuAction>
            <MenuItem v-slot="{ active }">
              <a
                :href="`/api/grade-books/${id}/grades.csv`"
                :class="[menuItem, active && 'bg-tide-wash']"
                download
                >Table (CSV)</a
              >
            </MenuItem>
            <MenuItem v-slot="{ active }">
              <a
                :href="`/api/grade-books/${id}/oneroster.zip`"
                :class="[menuItem, active && 'bg-tide-wash']"
                download
                >OneRoster 1.2 results</a
              >
            </MenuItem>
          </MenuItems>
        </Menu>
        <UiButton look="quiet" @click="asking = true">Delete</UiButton>
      </div>
      <p v-if="refused" role="alert" class="mb-3 text-wrong">{{ refused }}</p>
      <p v-if="waiting" class="mb-4 rounded border border-lamp-ink bg-lamp-wash px-4 py-2.5 text-lamp-ink">
        {{ waiting === 1 ? '1 answer has' : `${waiting} answers have` }} no mark by hand yet: they are in no
        total.
      </p>
      <EmptyNote v-if="!detail.sessions.length" title="No session yet">
        Once a session of this class has ended, it can be put into the book.
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
            <h2 id="totals" class="text-lg">Totals</h2>
            <span v-if="book.mean !== null" class="text-slate"
              >mean {{ Math.round(book.mean * 10) / 10 }} %</span
            >
            <label class="flex items-center gap-1.5 text-[15px] text-slate"
              ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />Names</label
            >
          </div>
          <div class="relative overflow-auto" tabindex="0" role="group" aria-label="Totals, to be scrolled">
            <table class="w-full text-[15px]">
              <thead>
                <tr class="border-b border-rule text-left align-bottom text-sm text-slate">
                  <th scope="col" class="sticky left-0 bg-sheet py-1 pl-4.5 font-normal">Name</th>
                  <th v-if="graded" scope="col" class="px-2 py-1 font-normal">Grade</th>
                  <th scope="col" class="px-2 py-1 text-right font-normal">Total</th>
                  <th
                    v-for="column in book.columns"
                    :key="column.session"
                    scope="col"
                    class="max-w-28 min-w-20 px-2 py-1 text-right font-normal"
                  >
                    <RouterLink :to="`/sessions/${column.session}`" class="line-clamp-2 hover:underline">{{
                      column.title || 'Untitled set'
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
                    class="sticky left-0 max-w-48 truncate bg-sheet py-1 pl-4.5 text-left font-normal"
                  >
                    {{ namesShown ? line.name : `Student ${at + 1}` }}
                  </th>
                  <td v-if="graded" class="px-2 font-bold">{{ line.grade || '–' }}</td>
                  <td class="px-2 text-right font-bold whitespace-nowrap tabular-nums">
                    {{ inPercent(line.total) }}
                  </td>
                  <td
                    v-for="(cell, place) in line.cells"
                    :key="place"
                    class="px-2 text-right whitespace-nowrap tabular-nums"
                    :class="cell.dropped && 'text-slate line-through'"
                    :title="
                      cell.score === null ? 'did not take part' : `${score(cell.score)} of ${cell.out_of}`
                    "
                  >
                    {{ cell.share === null ? '–' : percent(cell.share)
                    }}<span v-if="cell.dropped" class="sr-only"> (left out)</span>
                  </td>
                </tr>
              </tbody>
              <tfoot>
                <tr class="text-slate">
                  <th scope="row" class="sticky left-0 bg-sheet py-1 pl-4.5 text-left font-normal">Mean</th>
                  <td v-if="graded"></td>
                  <td class="px-2 text-right tabular-nums">
                    {{ book.mean === null ? '–' : `${Math.round(book.mean * 10) / 10} %` }}
                  </td>
                  <td
                    v-for="column in book.columns"
                    :key="column.session"
                    class="px-2 text-right tabular-nums"
                  >
                    {{ column.mean === null ? '–' : percent(column.mean) }}
                  </td>
                </tr>
              </tfoot>
            </table>
          </div>
        </section>
      </div>
    </template>
    <UiDialog :open="asking" title="Delete this grade book?" @close="asking = false">
      <p>Its weights, bounds and name go. Sessions and marks stay as they are.</p>
      <div class="mt-5 flex gap-3">
        <UiButton look="danger" @click="removeIt">Delete it</UiButton>
        <UiButton @click="asking = false">Leave it</UiButton>
      </div>
    </UiDialog>
  </div>
</template>
