<script setup lang="ts">
/** All set work: what is open first, then what comes, then what is over. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { I18nT } from 'vue-i18n'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { WorkRow } from '@/api/types'
import { momentOf } from '@/composables/format'
import EmptyNote from '@/ui/EmptyNote.vue'
import { doors, purposeOf } from './inWords'
import { t } from './words'
import { t as common } from '@/ui/words'

const { data: rows, error } = useQuery({
  queryKey: ['works'],
  queryFn: () => data(api.GET('/api/work')),
})
const GROUPS: { words: string; doors: WorkRow['door'][] }[] = [
  { words: t('to_be_done_now'), doors: ['open', 'late'] },
  { words: t('still_to_open'), doors: ['not_yet'] },
  { words: t('over'), doors: ['closed', 'withdrawn'] },
]
const groups = computed(() =>
  GROUPS.map(({ words, doors }) => ({
    words,
    rows: (rows.value ?? []).filter((row) => doors.includes(row.door)),
  })).filter((group) => group.rows.length),
)
function when(row: WorkRow): string {
  if (row.door === 'not_yet') return t('opens_2', { when: momentOf(row.opens!) })
  return row.due ? t('due_2', { when: momentOf(row.due) }) : t('due_at_no_time')
}
const sum = (row: WorkRow, key: 'expected' | 'begun' | 'handed_in'): number =>
  row.given.reduce((all, one) => all + one[key], 0)
const whom = (row: WorkRow): string =>
  row.given.map((one) => one.class_name || t('whoever_has_the_link_2')).join(', ')
</script>

<template>
  <div class="mx-auto max-w-[80rem] px-6 py-6">
    <h1 class="mb-1 text-3xl">{{ t('set_work') }}</h1>
    <p class="mb-5 max-w-prose text-slate">
      {{ t('the_same_sets_for_later') }}
    </p>
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!rows" class="text-slate">{{ t('fetching_set_work') }}</p>
    <EmptyNote v-else-if="!rows.length" :title="t('nothing_is_set_yet')">
      <I18nT :keypath="t.path('given_from_sets')" scope="global"
        ><template #sets
          ><RouterLink to="/sets" class="font-bold text-tide underline">{{
            t('your_sets')
          }}</RouterLink></template
        ></I18nT
      >
    </EmptyNote>
    <section v-for="group in groups" :key="group.words" class="mb-8">
      <h2 class="mb-2 text-xl">{{ group.words }}</h2>
      <ul class="divide-y divide-rule rounded border border-rule bg-sheet">
        <li v-for="row in group.rows" :key="row.id">
          <RouterLink
            :to="`/work/${row.id}`"
            class="grid min-h-14 items-center gap-x-6 gap-y-1 px-4 py-2.5 hover:bg-tide-wash md:grid-cols-[minmax(0,1fr)_15rem_11rem]"
          >
            <span class="min-w-0">
              <b class="block text-tide wrap-anywhere">{{ row.title || common('untitled_set') }}</b>
              <span class="text-[15px] text-slate">{{ purposeOf(row.purpose) }} · {{ whom(row) }}</span>
            </span>
            <span class="text-[15px]">
              {{ when(row) }}
              <span v-if="row.door === 'late' || row.door === 'withdrawn'" class="block text-slate">{{
                doors()[row.door]
              }}</span>
            </span>
            <span class="text-[15px] tabular-nums">
              <b>{{ sum(row, 'handed_in') }}</b>
              <template v-if="sum(row, 'expected')">{{
                t('of', { expected: sum(row, 'expected') })
              }}</template>
              {{ t('handed_in_2') }}
              <span v-if="sum(row, 'begun')" class="block text-slate">{{
                t('at_work_2', { begun: sum(row, 'begun') })
              }}</span>
            </span>
          </RouterLink>
        </li>
      </ul>
    </section>
  </div>
</template>
