<script setup lang="ts">
/** Own pace at a glance: how many are at it, how much time there is, and what holds up most. */
import { computed } from 'vue'
import type { DeskView } from '@/api/types'
import { counted, duration, timeOfDay } from '@/composables/format'

const props = defineProps<{ view: DeskView; now: number }>()

const left = computed(() => {
  const { ends_at: end, stopped } = props.view
  if (!end) return null
  return stopped ? 'stands' : duration(Math.max(0, Math.ceil((end - props.now) / 1000)))
})
const holdsUp = computed(() => {
  const row = props.view.run.find((one) => one.id === props.view.holds_up)
  return row?.number
    ? `Question ${row.number} holds up most: ${row.without} have come to it and not answered.`
    : ''
})
const state = computed(() => {
  const { view } = props
  if (view.stopped === 'today') return 'Closed for today. Everything stands where it was.'
  if (view.stopped) return 'Paused. Every clock stands.'
  if (view.collected && !view.told && view.settings.feedback === 'opened')
    return 'All papers are in. Students see what was right once you open it.'
  return view.collected ? 'All papers are in.' : ''
})
</script>

<template>
  <div class="border-b border-rule px-6 pt-4 pb-3">
    <h1 class="sr-only">Everybody at their own pace</h1>
    <dl class="flex flex-wrap gap-x-8 gap-y-2">
      <div class="flex flex-col-reverse">
        <dt class="text-sm text-slate">have begun</dt>
        <dd class="figure text-2xl">{{ view.begun }} / {{ view.progress.length }}</dd>
      </div>
      <div class="flex flex-col-reverse">
        <dt class="text-sm text-slate">have handed in</dt>
        <dd class="figure text-2xl">{{ view.handed_in }}</dd>
      </div>
      <div v-if="left" class="flex flex-col-reverse">
        <dt class="text-sm text-slate">
          time of the class, until {{ timeOfDay(view.ends_at!).slice(0, 5) }}
        </dt>
        <dd class="figure text-2xl">{{ left }}</dd>
      </div>
    </dl>
    <p v-if="state" role="status" class="mt-2 font-bold">{{ state }}</p>
    <p v-else-if="holdsUp" class="mt-2">{{ holdsUp }}</p>
    <p v-if="view.word" class="mt-2 text-[15px] text-slate">Written to everybody: “{{ view.word.text }}”</p>
    <p v-if="!view.begun && !view.stopped" class="mt-2 text-slate">
      {{ counted(view.here, 'student') }} can begin now: each presses “Begin” on the own device.
    </p>
  </div>
</template>
