<script setup lang="ts">
/** What each column of a spreadsheet is used for. */
import type { FoundInFile } from '@/api/types'
import { smallField } from '@/questions/shared/recipes'

defineProps<{ columns: FoundInFile['columns'] }>()
const emit = defineEmits<{ use: [column: number, use: string] }>()
const USES = {
  '': 'not used',
  question: 'question',
  option: 'an option',
  right: 'right answer',
  explanation: 'explanation',
  time: 'time (seconds)',
  weight: 'weight',
  topics: 'topics',
  by: 'who wrote it',
  kind: 'kind of question',
  lines: 'lines (text form)',
  settings: 'settings (text form)',
}
</script>

<template>
  <details
    class="mb-4 border-b border-rule pb-3"
    :open="!columns.some((column) => column.use === 'question')"
  >
    <summary class="cursor-pointer font-bold">
      {{ columns.filter((column) => column.use).length }} of {{ columns.length }} columns are used
    </summary>
    <p class="mt-1 text-[15px] text-slate">
      Choose what a column holds, if its heading did not say. It is remembered for files with the same
      headings.
    </p>
    <ul class="mt-3 grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
      <li v-for="(column, at) in columns" :key="at">
        <label class="flex items-baseline gap-3"
          ><span class="min-w-0 grow truncate" :title="column.example"
            >{{ column.heading || `Column ${at + 1}` }}
            <span class="text-[15px] text-slate">{{ column.example }}</span></span
          >
          <select
            :value="column.use"
            :class="smallField"
            class="shrink-0"
            @change="emit('use', at, ($event.target as HTMLSelectElement).value)"
          >
            <option v-for="(label, use) in USES" :key="use" :value="use">{{ label }}</option>
          </select>
        </label>
      </li>
    </ul>
  </details>
</template>
