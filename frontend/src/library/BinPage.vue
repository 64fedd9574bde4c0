<script setup lang="ts">
/** Deleted sets, for 30 days. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { SetRow } from '@/api/types'
import { dateOf } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const DAYS = 30
const client = useQueryClient()
const { show } = useToasts()
const bin = useQuery({ queryKey: ['bin'], queryFn: () => data(api.GET('/api/sets/bin')), staleTime: 0 })

const daysLeft = (row: SetRow): number =>
  Math.max(0, DAYS - Math.floor((Date.now() - Date.parse(row.deleted_at!)) / 86_400_000))

async function act(action: () => Promise<unknown>, told: string): Promise<void> {
  try {
    await action()
    await client.invalidateQueries()
    show(told)
  } catch (error) {
    show(sentenceOf(error))
  }
}

const at = (row: SetRow) => ({ params: { path: { set_id: row.id } } })
const restore = (row: SetRow) =>
  act(
    () => api.POST('/api/sets/{set_id}/restore', at(row)),
    t('is_back_among_your_sets', { title: row.title || common('untitled_set') }),
  )
const purge = (row: SetRow) =>
  act(
    () => api.DELETE('/api/sets/bin/{set_id}', at(row)),
    t('is_gone_for_good', { title: row.title || common('untitled_set') }),
  )
</script>

<template>
  <div class="mx-auto max-w-4xl px-6 py-7">
    <h1 class="mb-5 text-3xl">{{ t('recycle_bin') }}</h1>
    <p v-if="bin.error.value" role="alert" class="text-wrong">{{ sentenceOf(bin.error.value) }}</p>
    <EmptyNote v-else-if="bin.data.value && !bin.data.value.length" :title="t('the_bin_is_empty')">
      {{ t('a_set_that_you_delete_lies', { days: DAYS }) }}
    </EmptyNote>
    <ul v-else>
      <li
        v-for="row in bin.data.value"
        :key="row.id"
        class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-rule bg-sheet px-4 py-3"
      >
        <span class="min-w-48 grow"
          ><b class="block text-lg leading-snug wrap-anywhere">{{ row.title || common('untitled_set') }}</b
          ><span class="text-[15px] text-slate">{{
            t('questions_deleted_gone_in', {
              n: row.questions,
              date: dateOf(row.deleted_at!),
              days: common('n_days', { n: daysLeft(row) }),
            })
          }}</span></span
        >
        <UiButton size="small" @click="restore(row)">{{ t('bring_back') }}</UiButton>
        <UiButton size="small" look="quiet" @click="purge(row)">{{ t('delete_for_good') }}</UiButton>
      </li>
    </ul>
  </div>
</template>
