<script setup lang="ts">
/** What a class holds of what it practises over days: by topic, and by student. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import type { ClassPractised, ClassResults } from '@/api/types'
import { percent } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import { namesShown } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'

/** `students` are those of the class's results: without names, each has the same number in both. */
const props = defineProps<{ classId: number; students: ClassResults['students'] }>()
const { data: found } = useQuery({
  queryKey: ['practice', props.classId],
  queryFn: () =>
    data(api.GET('/api/practice/of-class/{class_id}', { params: { path: { class_id: props.classId } } })),
})
const practised = computed(() => found.value as ClassPractised | undefined)
const showsStudents = ref(false)
const students = computed(() =>
  practised.value!.students.map((one) => {
    const number = props.students.findIndex(({ student }) => student === one.student) + 1
    return {
      ...one,
      name: namesShown.value ? one.name : number ? t('student', { number }) : t('somebody_else'),
    }
  }),
)
const hasAny = computed(() => !!practised.value?.topics.length)
type Topic = ClassPractised['topics'][number]
const standing = (one: Topic): string =>
  one.standing !== 'open'
    ? t(`is_${one.standing}`)
    : one.returns
      ? t('in_between')
      : t('has_not_come_back_yet')
const range = (one: Topic): string =>
  one.low === null || one.high === null ? '' : t('to', { low: percent(one.low), high: percent(one.high) })
const lastOf = (days: number | null): string =>
  days === null ? '' : days === 0 ? t('today') : days === 1 ? t('yesterday') : t('days_ago', { days })
</script>

<template>
  <section v-if="hasAny" class="rounded border border-rule bg-sheet py-3.5" aria-labelledby="practised">
    <div class="flex flex-wrap items-baseline gap-x-4 px-4.5">
      <h2 id="practised" class="grow text-lg">{{ t('what_is_held_in_practice') }}</h2>
      <UiButton
        look="quiet"
        size="small"
        :aria-expanded="showsStudents"
        @click="showsStudents = !showsStudents"
        >{{ showsStudents ? t('hide_the_students') : t('by_student') }}</UiButton
      >
    </div>
    <p class="max-w-3xl px-4.5 pb-2 text-[15px] text-slate">
      {{ t('how_much_was_recalled', { days: practised!.days }) }}
    </p>
    <div
      class="relative overflow-x-auto px-4.5"
      tabindex="0"
      role="group"
      :aria-label="t('topics_to_be_scrolled')"
    >
      <table class="w-full text-[15px]">
        <thead>
          <tr class="border-b border-rule text-sm text-slate">
            <th scope="col" class="py-1 pe-3 text-start font-normal">{{ t('topic') }}</th>
            <th scope="col" class="px-3 text-start font-normal">{{ t('state') }}</th>
            <th scope="col" class="px-3 text-end font-normal">{{ t('recalled') }}</th>
            <th scope="col" class="px-3 text-end font-normal">{{ t('between') }}</th>
            <th scope="col" class="px-3 text-end font-normal">{{ t('came_back') }}</th>
            <th scope="col" class="px-3 text-end font-normal">{{ t('in_decks') }}</th>
            <th scope="col" class="ps-3 text-end font-normal">{{ t('due') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in practised!.topics" :key="one.topic" class="border-b border-rule">
            <th scope="row" class="max-w-72 py-1.5 pe-3 text-start font-bold wrap-anywhere" dir="auto">
              {{ one.topic || t('without_a_topic') }}
            </th>
            <td class="px-3 whitespace-nowrap">
              <span
                :class="
                  one.standing === 'slips'
                    ? 'rounded-sm border border-lamp-ink px-1.5 text-lamp-ink'
                    : one.standing === 'open' && 'text-slate'
                "
                >{{ standing(one) }}</span
              >
            </td>
            <td class="px-3 text-end font-bold tabular-nums">
              {{ one.recalled === null ? '–' : percent(one.recalled) }}
            </td>
            <td class="px-3 text-end whitespace-nowrap tabular-nums">{{ range(one) }}</td>
            <td class="px-3 text-end tabular-nums">{{ one.returns }}</td>
            <td class="px-3 text-end tabular-nums">{{ one.cards }}</td>
            <td class="ps-3 text-end tabular-nums">{{ one.due }}</td>
          </tr>
        </tbody>
      </table>
      <table v-if="showsStudents" class="mt-5 w-full text-[15px]">
        <caption class="pb-1 text-start font-bold">
          {{
            common('n_students', { n: students.length })
          }}
        </caption>
        <thead>
          <tr class="border-b border-rule text-sm text-slate">
            <th scope="col" class="py-1 pe-3 text-start font-normal">{{ t('student_2') }}</th>
            <th scope="col" class="px-3 text-start font-normal">{{ t('last') }}</th>
            <th scope="col" class="px-3 text-end font-normal">{{ t('recalled') }}</th>
            <th scope="col" class="px-3 text-end font-normal">{{ t('came_back') }}</th>
            <th scope="col" class="px-3 text-end font-normal">{{ t('in_the_deck') }}</th>
            <th scope="col" class="ps-3 text-end font-normal">{{ t('due') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in students" :key="one.student" class="border-b border-rule">
            <th scope="row" class="py-1.5 pe-3 text-start font-normal wrap-anywhere" dir="auto">
              <RouterLink
                :to="`/classes/${classId}/students/${one.student}`"
                class="inline-block text-tide hover:underline"
                >{{ one.name }}</RouterLink
              >
            </th>
            <td class="px-3 whitespace-nowrap">{{ lastOf(one.last) }}</td>
            <td class="px-3 text-end tabular-nums">
              {{ one.recalled === null ? '–' : percent(one.recalled) }}
            </td>
            <td class="px-3 text-end tabular-nums">{{ one.returns }}</td>
            <td class="px-3 text-end tabular-nums">{{ one.cards }}</td>
            <td class="ps-3 text-end tabular-nums">{{ one.due }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
