<script setup lang="ts">
/** What ran in this class, the newest first. */
import { I18nT } from 'vue-i18n'
import { useQuery } from '@tanstack/vue-query'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import { dayAndTime, percent } from '@/composables/format'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ id: number }>()
const { data: sessions, error } = useQuery({
  queryKey: ['sessions', 'of-class', props.id],
  queryFn: () => data(api.GET('/api/sessions', { params: { query: { of_class: props.id } } })),
})
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4 py-3" aria-labelledby="ran-head">
    <div class="flex items-baseline gap-3">
      <h2 id="ran-head" class="grow text-lg">{{ t('what_ran') }}</h2>
      <RouterLink
        v-if="sessions?.rows.length"
        :to="`/classes/${id}/results`"
        class="text-[15px] font-bold text-tide hover:underline"
        >{{ t('over_time') }}</RouterLink
      >
    </div>
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="sessions && !sessions.rows.length" class="text-[15px] text-slate">
      <I18nT :keypath="t.path('nothing_yet_run_one_of')" scope="global"
        ><template #sets
          ><RouterLink to="/sets" class="font-bold text-tide underline">{{
            t('your_sets')
          }}</RouterLink></template
        ></I18nT
      >
    </p>
    <ul v-else-if="sessions" class="divide-y divide-rule">
      <li v-for="row in sessions.rows" :key="row.id" class="py-2">
        <RouterLink
          :to="row.ended_at ? `/sessions/${row.id}` : `/desk/${row.id}`"
          class="font-bold wrap-anywhere hover:underline"
          >{{ row.title || common('untitled_set') }}</RouterLink
        >
        <span class="block text-[15px] text-slate">
          {{ dayAndTime(row.created_at) }}
          <template v-if="!row.ended_at"> {{ t('running_code', { code: row.code }) }}</template>
          <template v-else-if="row.took_part !== null">
            {{ t('took_part', { took_part: row.took_part })
            }}<template v-if="row.mean_share !== null">{{
              t('right', { share: percent(row.mean_share) })
            }}</template>
          </template>
        </span>
      </li>
    </ul>
  </section>
</template>
