<script setup lang="ts">
/** Who answered what: by name, by mark, or by time. */
import { computed, ref } from 'vue'
import type { QuestionResult } from '@/api/types'
import { useLinesInSight } from '@/composables/useLinesInSight'
import LineText from '@/questions/shared/LineText.vue'
import GridPane from '@/ui/GridPane.vue'
import { smallField } from '@/ui/recipes'
import { namesShown } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'

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
      <h2 id="answers" class="grow text-lg">{{ t('who_answered_what') }}</h2>
      <label class="text-[15px] text-slate"
        >{{ t('by') }}
        <select v-model="order" :class="smallField">
          <option value="name">{{ t('name') }}</option>
          <option value="answer">{{ t('answer') }}</option>
          <option value="mark">{{ t('mark_2') }}</option>
          <option value="time">{{ t('time') }}</option>
        </select>
      </label>
    </div>
    <p v-if="page.key" class="px-4.5 pb-2 text-[15px]">
      <span class="text-slate">{{ t('right_4') }} </span><LineText :text="page.key" />
    </p>
    <div
      v-bind="frame"
      role="group"
      :aria-label="t('the_answers_to_be_scrolled')"
      tabindex="0"
      class="relative overflow-auto"
      :class="isCrowd && 'max-h-[85vh]'"
    >
      <div :style="holder">
        <table :aria-rowcount="rows.length + 1" class="w-full text-[15px]">
          <thead class="sr-only">
            <tr>
              <th scope="col">{{ common('name') }}</th>
              <th scope="col">{{ t('answer_2') }}</th>
              <th scope="col">{{ t('mark') }}</th>
              <th scope="col">{{ t('time_2') }}</th>
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
              <th scope="row" class="max-w-40 py-1 pe-2 ps-4.5 text-start align-top font-normal">
                <RouterLink
                  :to="`/sessions/${session}/students/${row.seat}`"
                  class="block truncate hover:underline"
                  >{{ namesShown ? row.name : t('seat', { seat: row.seat }) }}</RouterLink
                >
              </th>
              <td class="max-w-56 px-2 py-1 align-top">
                <LineText
                  v-if="row.answered"
                  :class="isCrowd ? 'block truncate' : 'line-clamp-3 wrap-anywhere'"
                  :text="row.answer"
                />
                <span v-else class="text-slate">{{ t('no_answer') }}</span>
              </td>
              <td class="w-10 px-1"><GridPane :value="row.mark" /></td>
              <td class="w-14 py-1 pe-4.5 text-end align-top whitespace-nowrap text-slate tabular-nums">
                {{ seconds(row) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
  </section>
</template>
