<script setup lang="ts">
/** How often each row was put to each column; what is right lies in the light. */
import { computed } from 'vue'
import type { PublicLine } from '@/api/types'
import MediaView from '@/media/shown/MediaView.vue'
import { LETTERS } from './lines'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  rows: readonly PublicLine[]
  columns: readonly PublicLine[]
  /** Counts by "row/column"; null while there is no result. */
  counts: ReadonlyMap<string, number> | null
  /** What is right, as "row/column". */
  right: ReadonlySet<string>
  /** This student's own choices, as "row/column". */
  mine: ReadonlySet<string>
  n: number
  caption: string
}>()

const cells = computed(() =>
  props.rows.map((row) => ({
    ...row,
    cells: props.columns.map((column, at) => {
      const place = `${row.id}/${column.id}`
      const count = props.counts?.get(place) ?? 0
      return {
        id: column.id,
        letter: LETTERS[at],
        count: props.counts ? count : null,
        share: props.n ? count / props.n : 0,
        right: props.right.has(place),
        mine: props.mine.has(place),
      }
    }),
  })),
)
</script>

<template>
  <div>
    <ul class="mb-[0.5em] flex flex-wrap gap-x-[1em] gap-y-[0.2em] text-[max(var(--least,0px),0.9em)]">
      <li v-for="(column, index) in columns" :key="column.id" class="flex gap-[0.4em]">
        <b>{{ LETTERS[index] }}</b><span class="prose" dir="auto" v-html="column.html" />
      </li>
    </ul>
    <table class="w-full border-separate border-spacing-[0.15em] text-[max(var(--least,0px),0.9em)]">
      <caption class="sr-only" :lang="language" dir="auto">
        {{
          caption
        }}
      </caption>
      <thead>
        <tr>
          <td />
          <th v-for="(column, index) in columns" :key="column.id" scope="col" class="font-bold">
            {{ LETTERS[index] }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in cells" :key="row.id">
          <th
            scope="row"
            class="prose max-w-[14em] pe-[0.5em] text-start font-normal leading-tight"
            dir="auto"
          >
            <MediaView v-if="row.media" :media="row.media" small class="[--option-picture:3.2em]" />
            <span v-html="row.html" />
          </th>
          <td
            v-for="cell in row.cells"
            :key="cell.id"
            class="relative h-[1.9em] min-w-[1.7em] overflow-hidden px-[0.1em] rounded text-center"
            :class="
              cell.right ? 'border-[3px] border-front bg-sheet text-ink' : 'border border-line bg-strip'
            "
          >
            <span
              class="absolute inset-x-0 bottom-0"
              :class="cell.right ? 'bg-lamp' : 'bg-bar'"
              :style="{ height: `${cell.share * 100}%` }"
            />
            <span
              v-if="cell.right"
              aria-hidden="true"
              class="absolute start-[0.2em] top-0 text-[max(var(--least,0px),0.7em)] leading-snug font-bold"
              >✓</span
            >
            <span class="figure relative" :class="cell.mine && 'underline decoration-2 underline-offset-4'"
              ><template v-if="cell.count || (cell.right && cell.count !== null)">{{ cell.count }}</template
              ><template v-else-if="cell.mine && cell.count === null">•</template
              ><span v-if="cell.right" class="sr-only" :lang="language"> {{ ` ${t('right')}` }}</span
              ><span v-if="cell.mine" class="sr-only" :lang="language"> {{ ` ${t('own')}` }}</span></span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p
      v-if="mine.size"
      class="mt-[0.4em] text-[max(var(--least,0px),0.85em)] text-soft"
      :lang="language"
      dir="auto"
    >
      {{ t(right.size ? 'underlined_and_lit' : 'underlined') }}
    </p>
  </div>
</template>
