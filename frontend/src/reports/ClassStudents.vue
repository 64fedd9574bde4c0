<script setup lang="ts">
/** Who stands where, and who gets better or slips, against the class. */
import { computed, ref } from 'vue'
import type { ClassResults } from '@/api/types'
import { percent } from '@/composables/format'
import { smallField } from '@/ui/recipes'
import ShareCell from './ShareCell.vue'
import { bySlipping, points, told } from './trends'
import { namesShown } from './useReportView'

const props = defineProps<{ detail: ClassResults }>()
const order = ref<'name' | 'share' | 'trend'>('name')

const rows = computed(() => {
  const byId = new Map(props.detail.results.students.map((one) => [one.student, one]))
  const named = props.detail.students.map(({ student, name }, index) => ({
    ...byId.get(student)!,
    name: namesShown.value ? name : `Student ${index + 1}`,
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
      <h2 id="students" class="text-lg">Student by student</h2>
      <label class="text-[15px] text-slate"
        >By
        <select v-model="order" :class="smallField">
          <option value="name">name</option>
          <option value="share">share</option>
          <option value="trend">trend</option>
        </select>
      </label>
      <label class="flex items-center gap-1.5 text-[15px] text-slate"
        ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />Names</label
      >
    </div>
    <p class="px-4.5 pt-1 pb-2 text-[15px] text-slate">
      Against the class in the same questions. Somebody slips or rises only where the whole range says so,
      over five sessions and twenty questions: a reason to look, not a verdict.
    </p>
    <div class="relative overflow-x-auto" tabindex="0" role="group" aria-label="Students, to be scrolled">
      <table class="w-full text-[15px]">
        <thead>
          <tr class="border-b border-rule text-left text-sm text-slate">
            <th scope="col" class="py-1 pl-4.5 font-normal">Name</th>
            <th scope="col" class="px-2 py-1 text-right font-normal">Sessions</th>
            <th scope="col" class="px-2 py-1 text-right font-normal">Right</th>
            <th scope="col" class="px-2 py-1 text-right font-normal">Against the class</th>
            <th scope="col" class="px-2 py-1 font-normal">Last sessions</th>
            <th scope="col" class="py-1 pr-4.5 font-normal">Trend</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in rows" :key="one.student" class="border-b border-rule">
            <th scope="row" class="max-w-48 truncate py-1.5 pl-4.5 text-left font-normal">
              <RouterLink
                :to="`/classes/${detail.id}/students/${one.student}`"
                class="text-tide hover:underline"
                >{{ one.name }}</RouterLink
              >
            </th>
            <td class="px-2 text-right tabular-nums">{{ one.sessions }}</td>
            <td class="px-2 text-right tabular-nums">{{ percent(one.share) }}</td>
            <td class="px-2 text-right whitespace-nowrap tabular-nums">{{ points(one.against) }}</td>
            <td class="px-2">
              <span class="flex gap-0.5"
                ><ShareCell v-for="point in last(one)" :key="point.session" :share="point.share"
              /></span>
            </td>
            <td class="py-1 pr-4.5" :class="one.trend.verdict ? 'font-bold' : 'text-slate'">
              {{ told(one.trend) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
