<script setup lang="ts">
/** What a class holds of what it practises over days: by topic, and by student. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import type { ClassPractised, ClassResults } from '@/api/types'
import { counted, percent } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import { namesShown } from './useReportView'

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
    return { ...one, name: namesShown.value ? one.name : number ? `Student ${number}` : 'Somebody else' }
  }),
)
const hasAny = computed(() => !!practised.value?.topics.length)
type Topic = ClassPractised['topics'][number]
const standing = (one: Topic): string =>
  one.standing !== 'open' ? one.standing : one.returns ? 'in between' : 'has not come back yet'
const range = (one: Topic): string =>
  one.low === null || one.high === null ? '' : `${percent(one.low)} to ${percent(one.high)}`
const lastOf = (days: number | null): string =>
  days === null ? '' : days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`
</script>

<template>
  <section v-if="hasAny" class="rounded border border-rule bg-sheet py-3.5" aria-labelledby="practised">
    <div class="flex flex-wrap items-baseline gap-x-4 px-4.5">
      <h2 id="practised" class="grow text-lg">What is held in practice</h2>
      <UiButton
        look="quiet"
        size="small"
        :aria-expanded="showsStudents"
        @click="showsStudents = !showsStudents"
        >{{ showsStudents ? 'Hide the students' : 'By student' }}</UiButton
      >
    </div>
    <p class="max-w-3xl px-4.5 pb-2 text-[15px] text-slate">
      How much was recalled of what came back on a later day, over {{ practised!.days }} days, and between
      which shares it lies with 95 % confidence. A topic is held from 75 % on, if all of the range is.
    </p>
    <div
      class="relative overflow-x-auto px-4.5"
      tabindex="0"
      role="group"
      aria-label="Topics, to be scrolled"
    >
      <table class="w-full text-[15px]">
        <thead>
          <tr class="border-b border-rule text-sm text-slate">
            <th scope="col" class="py-1 pe-3 text-start font-normal">Topic</th>
            <th scope="col" class="px-3 text-start font-normal">State</th>
            <th scope="col" class="px-3 text-end font-normal">Recalled</th>
            <th scope="col" class="px-3 text-end font-normal">Between</th>
            <th scope="col" class="px-3 text-end font-normal">Came back</th>
            <th scope="col" class="px-3 text-end font-normal">In decks</th>
            <th scope="col" class="ps-3 text-end font-normal">Due</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in practised!.topics" :key="one.topic" class="border-b border-rule">
            <th scope="row" class="max-w-72 py-1.5 pe-3 text-start font-bold wrap-anywhere" dir="auto">
              {{ one.topic || 'Without a topic' }}
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
            counted(students.length, 'student')
          }}
        </caption>
        <thead>
          <tr class="border-b border-rule text-sm text-slate">
            <th scope="col" class="py-1 pe-3 text-start font-normal">Student</th>
            <th scope="col" class="px-3 text-start font-normal">Last</th>
            <th scope="col" class="px-3 text-end font-normal">Recalled</th>
            <th scope="col" class="px-3 text-end font-normal">Came back</th>
            <th scope="col" class="px-3 text-end font-normal">In the deck</th>
            <th scope="col" class="ps-3 text-end font-normal">Due</th>
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
