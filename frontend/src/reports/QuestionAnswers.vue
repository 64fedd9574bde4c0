<script setup lang="ts">
/** Who answered what: by name, by mark, or by time. */
import { computed, ref } from 'vue'
import type { QuestionResult } from '@/api/types'
import { useLinesInSight } from '@/composables/useLinesInSight'
import LineText from '@/questions/shared/LineText.vue'
import GridPane from '@/ui/GridPane.vue'
import { smallField } from '@/ui/recipes'
import { namesShown } from './useReportView'

type Row = QuestionResult['page']['answers'][number]

const props = defineProps<{ session: number; page: QuestionResult['page'] }>()
const order = ref<'name' | 'mark' | 'answer' | 'time'>('name')

const BY: Record<typeof order.value, (a: Row, b: Row) => number> = {
  name: () => 0,
  mark: (a, b) => (a.mark ?? -1) - (b.mark ?? -1),
  answer: (a, b) => Number(b.answered) - Number(a.answered) || a.answer.localeCompare(b.answer),
  time: (a, b) => (a.took ?? Infinity) - (b.took ?? Infinity),
}
const rows = computed(() => [...props.page.answers].sort(BY[order.value]))
const { lines, frame, holder, lineStyle, isCrowd } = useLinesInSight(rows)
const seconds = (row: Row): string => (row.took === null ? '' : `${Math.round(row.took / 1000)} s`)
</script>

<template>
  <section class="rounded border border-rule bg-sheet py-3.5" aria-labelledby="answers">
    <div class="mb-2 flex flex-wrap items-baseline gap-x-4 px-4.5">
      <h2 id="answers" class="grow text-lg">Who answered what</h2>
      <label class="text-[15px] text-slate"
        >By
        <select v-model="order" :class="smallField">
          <option value="name">name</option>
          <option value="answer">answer</option>
          <option value="mark">mark</option>
          <option value="time">time</option>
        </select>
      </label>
    </div>
    <p v-if="page.key" class="px-4.5 pb-2 text-[15px]">
      <span class="text-slate">Right: </span><LineText :text="page.key" />
    </p>
    <div
      v-bind="frame"
      role="group"
      aria-label="The answers, to be scrolled"
      tabindex="0"
      class="relative overflow-auto"
      :class="isCrowd && 'max-h-[85vh]'"
    >
      <div :style="holder">
        <table :aria-rowcount="rows.length + 1" class="w-full text-[15px]">
          <thead class="sr-only">
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Answer</th>
              <th scope="col">Mark</th>
              <th scope="col">Time</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ data: row, index } in lines"
              :key="row.seat"
              :aria-rowindex="index + 2"
              :style="lineStyle"
              class="border-t border-rule"
            >
              <th scope="row" class="max-w-40 py-1 pr-2 pl-4.5 text-left align-top font-normal">
                <RouterLink
                  :to="`/sessions/${session}/students/${row.seat}`"
                  class="block truncate hover:underline"
                  >{{ namesShown ? row.name : `Seat ${row.seat}` }}</RouterLink
                >
              </th>
              <td class="max-w-56 px-2 py-1 align-top">
                <LineText
                  v-if="row.answered"
                  :class="isCrowd ? 'block truncate' : 'line-clamp-3 wrap-anywhere'"
                  :text="row.answer"
                />
                <span v-else class="text-slate">no answer</span>
              </td>
              <td class="w-10 px-1"><GridPane :value="row.mark" /></td>
              <td class="w-14 py-1 pr-4.5 text-right align-top whitespace-nowrap text-slate tabular-nums">
                {{ seconds(row) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
  </section>
</template>
