<script setup lang="ts">
/** Who stands where, and who gets better or slips, against the class. */
import { computed, ref } from 'vue'
import type { ClassResults } from '@/api/types'
import { percent } from '@/composables/format'
import { smallField } from '@/ui/recipes'
import ShareCell from './ShareCell.vue'
import { bySlipping, points, told } from './trends'
import { namesShown } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ detail: ClassResults }>()
const order = ref<'name' | 'share' | 'trend'>('name')

const rows = computed(() => {
  const byId = new Map(props.detail.results.students.map((one) => [one.student, one]))
  const named = props.detail.students.map(({ student, name }, index) => ({
    ...byId.get(student)!,
    name: namesShown.value ? name : t('student', { number: index + 1 }),
  }))
  if (order.value === 'share') return named.sort((a, b) => b.share - a.share)
  return order.value === 'trend' ? named.sort(bySlipping) : named
})
/** The last sessions that somebody was in, as many as there is room for. */
const LAST = 8
const last = (one: (typeof rows.value)[number]) =>
  one.points.filter((point) => point.share !== null).slice(-LAST)
</script>

<template>
  <section class="rounded border border-rule bg-sheet py-3.5" aria-labelledby="students">
    <div class="flex flex-wrap items-baseline gap-x-5 px-4.5">
      <h2 id="students" class="text-lg">{{ t('student_by_student') }}</h2>
      <label class="text-[15px] text-slate"
        >{{ t('by') }}
        <select v-model="order" :class="smallField">
          <option value="name">{{ t('name') }}</option>
          <option value="share">{{ t('share') }}</option>
          <option value="trend">{{ t('trend') }}</option>
        </select>
      </label>
      <label class="flex items-center gap-1.5 text-[15px] text-slate"
        ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />{{ t('names') }}</label
      >
    </div>
    <p class="px-4.5 pt-1 pb-2 text-[15px] text-slate">
      {{ t('against_the_class_in_the_same') }}
    </p>
    <div
      class="relative overflow-x-auto"
      tabindex="0"
      role="group"
      :aria-label="t('students_to_be_scrolled')"
    >
      <table class="w-full text-[15px]">
        <thead>
          <tr class="border-b border-rule text-start text-sm text-slate">
            <th scope="col" class="py-1 ps-4.5 font-normal">{{ common('name') }}</th>
            <th scope="col" class="px-2 py-1 text-end font-normal">{{ t('sessions') }}</th>
            <th scope="col" class="px-2 py-1 text-end font-normal">{{ t('right') }}</th>
            <th scope="col" class="px-2 py-1 text-end font-normal">{{ t('against_the_class') }}</th>
            <th scope="col" class="px-2 py-1 font-normal">{{ t('last_sessions') }}</th>
            <th scope="col" class="py-1 pe-4.5 font-normal">{{ t('trend_2') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in rows" :key="one.student" class="border-b border-rule">
            <th scope="row" class="max-w-48 truncate py-1.5 ps-4.5 text-start font-normal">
              <RouterLink
                :to="`/classes/${detail.id}/students/${one.student}`"
                class="text-tide hover:underline"
                >{{ one.name }}</RouterLink
              >
            </th>
            <td class="px-2 text-end tabular-nums">{{ one.sessions }}</td>
            <td class="px-2 text-end tabular-nums">{{ percent(one.share) }}</td>
            <td class="px-2 text-end whitespace-nowrap tabular-nums">{{ points(one.against) }}</td>
            <td class="px-2">
              <span class="flex gap-0.5"
                ><ShareCell v-for="point in last(one)" :key="point.session" :share="point.share"
              /></span>
            </td>
            <td class="py-1 pe-4.5" :class="one.trend.verdict ? 'font-bold' : 'text-slate'">
              {{ told(one.trend) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
