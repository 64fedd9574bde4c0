<script setup lang="ts">
/** Results as somebody reads them who has a link: nothing can be changed, and nobody is to be looked up. */
import { useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '@/api/http'
import type { SharedReport } from '@/api/types'
import { dateOf, dayAndTime, percent, score } from '@/composables/format'
import LineText from '@/questions/shared/LineText.vue'
import GridPane from '@/ui/GridPane.vue'
import ReliabilityNote from './ReliabilityNote.vue'
import SessionFigures from './SessionFigures.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const secret = String(useRoute().params.secret)
const { data: found, error } = useQuery({
  queryKey: ['shared', secret],
  queryFn: () => data(api.GET('/api/shared/{secret}', { params: { path: { secret } } })),
  retry: false,
})
const shared = computed(() => found.value as SharedReport | undefined)
useTitle(computed(() => common('page_title', { title: shared.value?.title ?? t('results') })))
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">
      {{ t('this_link_opens_nothing') }}
    </p>
    <p v-else-if="!shared" class="text-slate">{{ t('fetching_the_results') }}</p>
    <template v-else>
      <h1 class="text-3xl wrap-anywhere">{{ shared.title || common('untitled_set') }}</h1>
      <p class="mb-4 text-slate">
        {{ t('to_be_read_until', { when: dayAndTime(shared.created_at), date: dateOf(shared.until) }) }}
      </p>
      <SessionFigures :report="shared.report" />
      <ReliabilityNote
        v-if="shared.report.top_score > 1"
        class="mt-2"
        :reliability="shared.report.reliability"
      />
      <section class="mt-5 rounded border border-rule bg-sheet py-3.5" aria-labelledby="questions">
        <h2 id="questions" class="px-4.5 text-lg">{{ t('question_by_question') }}</h2>
        <ol class="px-4.5">
          <li
            v-for="question in shared.report.questions"
            :key="question.item"
            class="flex gap-x-4 border-b border-rule py-1.5 last:border-0"
          >
            <span class="text-slate tabular-nums">{{ question.number }}</span>
            <LineText class="min-w-0 grow wrap-anywhere" :text="question.title || common('asked_aloud')" />
            <span v-if="question.share !== null" class="whitespace-nowrap tabular-nums">{{
              t('right_2', { share: percent(question.share) })
            }}</span>
          </li>
        </ol>
      </section>
      <section class="mt-5 rounded border border-rule bg-sheet py-3.5" aria-labelledby="everyone">
        <h2 id="everyone" class="px-4.5 text-lg">{{ t('everyone_every_question') }}</h2>
        <div
          class="relative overflow-auto px-4.5"
          role="group"
          tabindex="0"
          :aria-label="t('the_grid_to_be_scrolled')"
        >
          <table class="mt-1 text-[15px]">
            <thead>
              <tr class="text-sm text-slate">
                <th scope="col" class="pe-3 text-start font-normal">{{ common('name') }}</th>
                <th
                  v-for="question in shared.report.questions"
                  :key="question.item"
                  scope="col"
                  class="min-w-9 font-normal"
                >
                  {{ question.number }}
                </th>
                <th scope="col" class="ps-3 text-end font-normal">{{ t('score_2') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="person in shared.report.people" :key="person.seat">
                <th scope="row" class="max-w-52 truncate pe-3 text-start font-normal">{{ person.name }}</th>
                <td v-for="(pane, at) in person.panes" :key="at" class="p-px"><GridPane :value="pane" /></td>
                <td class="ps-3 text-end whitespace-nowrap tabular-nums">
                  {{ t('of_2', { score: score(person.score), out_of: person.out_of }) }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
    </template>
  </div>
</template>
