<script setup lang="ts">
/** Own pace at a glance: how many are at it, how much time there is, and what holds up most. */
import { computed } from 'vue'
import type { DeskView } from '@/api/types'
import { duration, timeOfDay } from '@/composables/format'
import { t } from './words'

const props = defineProps<{ view: DeskView; now: number }>()

const left = computed(() => {
  const { ends_at: end, stopped } = props.view
  if (!end) return null
  return stopped ? t('stands') : duration(Math.max(0, Math.ceil((end - props.now) / 1000)))
})
const holdsUp = computed(() => {
  const row = props.view.run.find((one) => one.id === props.view.holds_up)
  return row?.number
    ? t('question_holds_up_most_have_come', { number: row.number, without: row.without ?? 0 })
    : ''
})
const state = computed(() => {
  const { view } = props
  if (view.stopped === 'today') return t('closed_for_today_everything_stands')
  if (view.stopped) return t('paused_every_clock_stands')
  if (view.collected && !view.told && view.settings.feedback === 'opened')
    return t('all_papers_are_in_students_see')
  return view.collected ? t('all_papers_are_in') : ''
})
</script>

<template>
  <div class="border-b border-rule px-6 pt-4 pb-3">
    <h1 class="sr-only">{{ t('everybody_at_their_own_pace') }}</h1>
    <dl class="flex flex-wrap gap-x-8 gap-y-2">
      <div class="flex flex-col-reverse">
        <dt class="text-sm text-slate">{{ t('have_begun') }}</dt>
        <dd class="figure text-2xl">{{ view.begun }} / {{ view.progress.length }}</dd>
      </div>
      <div class="flex flex-col-reverse">
        <dt class="text-sm text-slate">{{ t('have_handed_in') }}</dt>
        <dd class="figure text-2xl">{{ view.handed_in }}</dd>
      </div>
      <div v-if="left" class="flex flex-col-reverse">
        <dt class="text-sm text-slate">
          {{ t('time_of_the_class_until', { time: timeOfDay(view.ends_at!).slice(0, 5) }) }}
        </dt>
        <dd class="figure text-2xl">{{ left }}</dd>
      </div>
    </dl>
    <p v-if="state" role="status" class="mt-2 font-bold">{{ state }}</p>
    <p v-else-if="holdsUp" class="mt-2">{{ holdsUp }}</p>
    <p v-if="view.word" class="mt-2 text-[15px] text-slate">
      {{ t('written_to_everybody', { text: view.word.text }) }}
    </p>
    <p v-if="!view.begun && !view.stopped" class="mt-2 text-slate">
      {{ t('students_can_begin_now_each_presses', { n: view.here }) }}
    </p>
  </div>
</template>
