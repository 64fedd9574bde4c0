<script setup lang="ts">
/** One student in a session: each answer beside what is right. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useLocalStorage, useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import { duration, ordinal, percent, score } from '@/composables/format'
import LineText from '@/questions/shared/LineText.vue'
import EraseDialog from '@/ui/EraseDialog.vue'
import GridPane from '@/ui/GridPane.vue'
import PageSteps from './PageSteps.vue'
import { provideCorrections } from './useCorrections'
import { namesShown, paper, useReportView } from './useReportView'
import { told } from '@/told'
import { t } from './words'
import { t as common } from '@/ui/words'

const route = useRoute()
const session = Number(route.params.id)
const seat = Number(route.params.seat)
const view = useReportView(session)
/** A place is shown only where the teacher wants it. */
const placeShown = useLocalStorage('lantern.place-shown', false)
const erasing = ref(false)
const paperPage = computed(
  () =>
    `/api/sessions/${session}/students/${seat}/page.pdf?paper=${paper.value}&with_place=${placeShown.value}`,
)
const { data: student, error } = useQuery({
  queryKey: ['report', session, 'student', seat, computed(() => view.value.counting)],
  queryFn: () =>
    data(
      api.GET('/api/sessions/{session_id}/students/{seat}', {
        params: { path: { session_id: session, seat }, query: { counting: view.value.counting } },
      }),
    ),
  placeholderData: keepPreviousData,
})
const { command } = provideCorrections(session)
const name = computed(() => (namesShown.value ? (student.value?.line.name ?? '') : t('seat', { seat })))
useTitle(computed(() => common('page_title', { title: name.value || t('student_2') })))

const at = (other: number | null | undefined): string | null =>
  other === null || other === undefined ? null : `/sessions/${session}/students/${other}`
const hasPoints = computed(
  () => student.value?.answers.some((one) => one.points) || student.value?.line.points,
)
const figures = computed(() => {
  const one = student.value
  if (!one) return []
  return [
    { value: t('of_2', { score: score(one.line.score), out_of: one.line.out_of }), label: t('their_score') },
    { value: one.line.share === null ? null : percent(one.line.share), label: t('of_it_right') },
    { value: hasPoints.value ? String(one.line.points) : null, label: t('their_points') },
    { value: duration(Math.round(one.took / 1000)), label: t('for_all_answers') },
    { value: placeShown.value ? ordinal(one.place) : null, label: t('of_6', { of: one.of }) },
  ].filter((figure) => figure.value !== null)
})
/** What was missed first, of that what the class found hardest. */
const hardestFirst = useLocalStorage('lantern.student-hardest', false)
const answers = computed(() => {
  const found = [...(student.value?.answers ?? [])]
  if (!hardestFirst.value) return found
  return found.sort((a, b) => (a.mark ?? 2) - (b.mark ?? 2) || (a.share ?? 2) - (b.share ?? 2))
})
const seconds = (took: number | null): string => (took === null ? '' : `${Math.round(took / 1000)} s`)

async function erase(): Promise<void> {
  erasing.value = false
  await command({ do: 'erase', seat })
}
const head = 'px-2 py-2 font-normal'
</script>

<template>
  <div class="mx-auto max-w-[80rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!student" class="text-slate">{{ t('fetching_the_answers') }}</p>
    <template v-else>
      <PageSteps
        :session="session"
        :before="at(student.before)"
        :after="at(student.after)"
        :what="t('student_2')"
      />
      <div class="mt-3 mb-4 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 class="text-3xl wrap-anywhere" dir="auto">{{ name }}</h1>
        <span v-if="namesShown && student.line.record_id" class="text-slate">{{
          student.line.record_id
        }}</span>
        <a :href="paperPage" class="ms-auto text-[15px] font-bold text-tide hover:underline" download>{{
          t('their_page_pdf')
        }}</a>
        <label class="flex items-center gap-1.5 text-[15px] text-slate"
          ><input v-model="placeShown" type="checkbox" class="size-4 accent-tide" />{{
            t('place_in_the_class')
          }}</label
        >
        <label class="flex items-center gap-1.5 text-[15px] text-slate"
          ><input v-model="hardestFirst" type="checkbox" class="size-4 accent-tide" />{{
            t('hardest_first_2')
          }}</label
        >
        <button
          type="button"
          class="text-[15px] font-bold text-wrong hover:underline"
          @click="erasing = true"
        >
          {{ t('erase_the_name') }}
        </button>
      </div>
      <dl class="mb-5 flex flex-wrap rounded border border-rule bg-sheet">
        <div
          v-for="figure in figures"
          :key="figure.label"
          class="flex flex-col-reverse border-e border-rule px-6 py-3.5"
        >
          <dt class="text-[15px] text-slate">{{ figure.label }}</dt>
          <dd class="figure text-2xl">{{ figure.value }}</dd>
        </div>
      </dl>
      <table class="w-full border-collapse bg-sheet text-[15px]">
        <thead>
          <tr class="border-b border-rule text-start text-sm text-slate">
            <th scope="col" class="py-2 ps-4 font-normal">
              <span class="sr-only">{{ t('number') }}</span>
            </th>
            <th scope="col" :class="head">{{ t('question') }}</th>
            <th scope="col" :class="head">{{ t('answer_2') }}</th>
            <th scope="col" :class="head">{{ t('right_is') }}</th>
            <th scope="col" :class="head" class="text-center">{{ t('mark') }}</th>
            <th scope="col" :class="head" class="text-end max-sm:hidden">{{ t('class') }}</th>
            <th v-if="hasPoints" scope="col" :class="head" class="text-end max-sm:hidden">
              {{ t('points') }}
            </th>
            <th scope="col" :class="head" class="pe-4 text-end max-sm:hidden">{{ t('time_2') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in answers" :key="one.item" class="border-b border-rule align-top">
            <td class="py-2.5 ps-4 font-bold">{{ one.number }}</td>
            <th scope="row" class="max-w-80 px-2 py-2.5 text-start font-normal wrap-anywhere">
              <RouterLink :to="`/sessions/${session}/questions/${one.item}`" class="hover:underline"
                ><LineText :text="one.title || common('asked_aloud')"
              /></RouterLink>
              <span v-if="one.scored && !one.counts" class="block text-sm text-slate">{{
                t('in_no_score')
              }}</span>
              <span v-if="one.waits" class="block text-sm text-lamp-ink">{{
                t('waits_for_a_mark_by_hand')
              }}</span>
            </th>
            <td class="max-w-64 px-2 py-2.5 wrap-anywhere">
              <LineText v-if="one.answered" :text="one.answer" />
              <span v-else class="text-slate">{{ t('no_answer') }}</span>
              <span
                v-for="line in one.forgiven"
                :key="line.sentence"
                class="block text-sm text-slate"
                dir="auto"
                >{{ told(line) }}</span
              >
              <span v-if="one.comment" class="mt-1 block border-s-2 border-lamp ps-2" dir="auto">{{
                one.comment
              }}</span>
            </td>
            <td class="max-w-64 px-2 py-2.5 wrap-anywhere">
              <LineText v-if="one.key" :text="one.key" /><span v-else class="text-slate">{{
                one.scored ? '' : t('an_opinion')
              }}</span>
            </td>
            <td class="w-14 px-2 py-1.5"><GridPane v-if="one.scored" :value="one.mark" /></td>
            <td class="px-2 py-2.5 text-end tabular-nums max-sm:hidden">
              {{ one.share === null ? '' : percent(one.share) }}
            </td>
            <td v-if="hasPoints" class="px-2 py-2.5 text-end tabular-nums max-sm:hidden">
              {{ one.points || '' }}
            </td>
            <td class="py-2.5 pe-4 ps-2 text-end whitespace-nowrap text-slate tabular-nums max-sm:hidden">
              {{ seconds(one.took) }}
            </td>
          </tr>
        </tbody>
      </table>
      <EraseDialog :name="erasing ? student.line.name : null" @erase="erase" @close="erasing = false" />
    </template>
  </div>
</template>
