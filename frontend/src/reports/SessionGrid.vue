<script setup lang="ts">
/** Everyone by every question, as a wall of panes. */
import { computed, toRef } from 'vue'
import type { SessionReport } from '@/api/types'
import { score } from '@/composables/format'
import { CROWD, useLinesInSight } from '@/composables/useLinesInSight'
import GridPane from '@/ui/GridPane.vue'
import { smallField } from '@/ui/recipes'
import { usePanes } from './usePanes'
import { namesShown, type ReportView } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ session: number; report: SessionReport['report']; hardest: string[] }>()
const view = defineModel<ReportView>('view', { required: true })
const otherPanes = usePanes(props.session, toRef(view))

/** Indices into the report's questions, in the order of the columns. */
const columns = computed(() => {
  const all = props.report.questions.map((question, index) => ({ question, index }))
  if (view.value.questions === 'set') return all
  const rank = (id: string): number => {
    const at = props.hardest.indexOf(id)
    return at < 0 ? props.hardest.length : at
  }
  return all.sort((a, b) => rank(a.question.item) - rank(b.question.item))
})
const people = computed(() =>
  view.value.people === 'name'
    ? props.report.people
    : [...props.report.people].sort((a, b) => (b.share ?? -1) - (a.share ?? -1) || b.score - a.score),
)
const { lines, frame, holder, lineStyle, isCrowd } = useLinesInSight(people, people.value.length > CROWD)

/** What a pane says in place of its glyph. */
function words(seat: number, index: number): string | undefined {
  const pane = otherPanes.value?.[seat]?.[index]
  if (pane === null || pane === undefined) return undefined
  return view.value.by === 'seconds' ? `${Math.round(Number(pane))} s` : String(pane)
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet py-3.5" aria-labelledby="grid">
    <div class="mb-2 px-4.5">
      <h2 id="grid" class="text-lg">{{ t('everyone_every_question') }}</h2>
      <p class="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-[15px] text-slate">
        <label
          >{{ t('students_by') }}
          <select v-model="view.people" :class="smallField">
            <option value="name">{{ t('name') }}</option>
            <option value="score">{{ t('score') }}</option>
          </select>
        </label>
        <label
          >{{ t('questions') }}
          <select v-model="view.questions" :class="smallField">
            <option value="hardest">{{ t('hardest_first') }}</option>
            <option value="set">{{ t('in_the_order_of_the_set') }}</option>
          </select>
        </label>
        <label
          >{{ t('show') }}
          <select v-model="view.by" :class="smallField">
            <option value="marks">{{ t('marks') }}</option>
            <option value="answers">{{ t('answers') }}</option>
            <option value="seconds">{{ t('time_taken') }}</option>
          </select>
        </label>
        <label class="flex items-center gap-1.5"
          ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />{{ t('names') }}</label
        >
      </p>
    </div>
    <div
      v-bind="frame"
      role="group"
      :aria-label="t('the_grid_to_be_scrolled')"
      tabindex="0"
      class="relative overflow-auto pe-4.5"
      :class="isCrowd && 'max-h-[85vh]'"
    >
      <div :style="holder">
        <table
          :aria-rowcount="people.length + 1"
          class="w-full border-separate border-spacing-x-0.5 border-spacing-y-0 text-[15px]"
        >
          <thead>
            <tr class="text-sm text-slate">
              <th
                scope="col"
                class="sticky top-0 start-0 z-10 bg-sheet ps-4.5 text-start align-bottom font-normal"
              >
                {{ common('name') }}
              </th>
              <th scope="col" class="sticky top-0 bg-sheet px-1.5 text-end align-bottom font-normal">
                {{ t('score_2') }}
              </th>
              <th
                v-for="{ question } in columns"
                :key="question.item"
                scope="col"
                class="sticky top-0 min-w-9 bg-sheet px-0.5 pb-1"
                :title="question.title || common('asked_aloud')"
              >
                <RouterLink
                  :to="`/sessions/${session}/questions/${question.item}`"
                  class="block font-bold text-tide hover:underline"
                  ><span class="sr-only">{{ t('question') }} </span>{{ question.number }}</RouterLink
                >
                <span class="block text-xs font-normal">{{
                  question.share === null ? '–' : Math.round(question.share * 100)
                }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ data: person, index: line } in lines"
              :key="person.seat"
              :aria-rowindex="line + 2"
              :style="lineStyle"
            >
              <th
                scope="row"
                class="sticky start-0 max-w-56 border-t border-rule bg-sheet py-1 pe-2 ps-4.5 text-start font-normal"
              >
                <RouterLink
                  :to="`/sessions/${session}/students/${person.seat}`"
                  class="block truncate rounded hover:underline"
                  >{{ namesShown ? person.name : t('seat', { seat: person.seat }) }}</RouterLink
                >
              </th>
              <td class="border-t border-rule px-1.5 text-end whitespace-nowrap tabular-nums">
                {{ score(person.score) }}
                <span v-if="person.out_of !== report.top_score" class="text-slate">{{
                  t('of', { out_of: person.out_of })
                }}</span>
              </td>
              <td
                v-for="{ question, index } in columns"
                :key="question.item"
                class="h-7.5 border-t border-rule p-0"
              >
                <GridPane :value="person.panes[index] ?? null" :text="words(person.seat, index)" />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
  </section>
</template>
