<script setup lang="ts">
/** What each column of a spreadsheet is used for. */
import { smallField } from './recipes'
import { t } from './words'

defineProps<{
  columns: readonly { heading: string; use: string; example: string }[]
  /** What a column can be used for, in words; '' is for nothing. */
  uses: Record<string, string>
  /** Without one of these nothing can be read, so the choice stands open. */
  needed: readonly string[]
  hint?: string
}>()
const emit = defineEmits<{ use: [column: number, use: string] }>()
</script>

<template>
  <details
    class="mb-4 border-b border-rule pb-3"
    :open="!columns.some((column) => needed.includes(column.use))"
  >
    <summary class="cursor-pointer font-bold">
      {{
        t('of_columns_are_used', { n: columns.filter((column) => column.use).length, all: columns.length })
      }}
    </summary>
    <p class="mt-1 text-[15px] text-slate">
      {{ t('choose_what_a_column_holds_if', { hint: hint ?? '' }) }}
    </p>
    <ul class="mt-3 grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
      <li v-for="(column, at) in columns" :key="at">
        <label class="flex items-baseline gap-3"
          ><span class="min-w-0 grow truncate" :title="column.example"
            >{{ column.heading || t('column', { number: at + 1 }) }}
            <span class="text-[15px] text-slate">{{ column.example }}</span></span
          >
          <select
            :value="column.use"
            :class="smallField"
            class="shrink-0"
            @change="emit('use', at, ($event.target as HTMLSelectElement).value)"
          >
            <option v-for="(label, use) in uses" :key="use" :value="use">{{ label }}</option>
          </select>
        </label>
      </li>
    </ul>
  </details>
</template>
