<script setup lang="ts">
/** What time there is: for each question, for all of it, until a time of the clock, or none. */
import { computed } from 'vue'
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import { t } from './words'

defineProps<{ problem?: string }>()
const settings = defineModel<Settings>({ required: true })
type Time = Settings['time']

const time = computed(() => settings.value.time)
const set = (change: Partial<Time>): void => {
  settings.value = { ...settings.value, time: { ...time.value, ...change } }
}
const isLed = computed(() => settings.value.manner === 'led')
type Kind = 'set' | 'each' | 'whole' | 'clock' | 'none'
const KINDS: [Kind, string][] = [
  ['set', t('each_question_as_the_set_says')],
  ['each', t('every_question_the_same')],
  ['whole', t('for_all_of_it')],
  ['clock', t('until_a_time_of_the_clock')],
  ['none', t('no_limit')],
]
const kinds = computed(() => KINDS.filter(([kind]) => !isLed.value || !['whole', 'clock'].includes(kind)))
const kind = computed<Kind>(() => {
  const { of, each } = time.value
  if (of === 'question') return each ? 'each' : 'set'
  return isLed.value ? 'none' : of
})

/** The next quarter of an hour that is at least a lesson's half away. */
function soon(): number {
  const quarter = 15 * 60_000
  return Math.ceil((Date.now() + 20 * 60_000) / quarter) * quarter
}
function choose(value: Kind): void {
  if (value === 'set') set({ of: 'question', each: null })
  else if (value === 'each') set({ of: 'question', each: time.value.each ?? 30 })
  else if (value === 'clock') set({ of: 'clock', until: soon() })
  else set({ of: value })
}

/** The moment as a field for date and time has it, and back: in this device's time zone. */
const until = computed(() => {
  const at = time.value.until
  if (!at) return ''
  const moment = new Date(at)
  return new Date(at - moment.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
})
const whole = (event: Event, least: number, most: number): number =>
  Math.min(most, Math.max(least, Math.round(Number((event.target as HTMLInputElement).value)) || least))
</script>

<template>
  <div class="space-y-2 py-3">
    <div class="flex flex-wrap items-center gap-2">
      <label for="run-time" class="font-bold">{{ t('time') }}</label>
      <select
        id="run-time"
        :class="smallField"
        :value="kind"
        @change="choose(($event.target as HTMLSelectElement).value as Kind)"
      >
        <option v-for="[value, words] in kinds" :key="value" :value="value">{{ words }}</option>
      </select>
      <label v-if="kind === 'each'" class="flex items-center gap-2">
        <input
          type="number"
          min="5"
          max="1200"
          :class="smallField"
          class="w-24"
          :value="time.each"
          @change="set({ each: whole($event, 5, 1200) })"
        />
        {{ t('seconds') }}
      </label>
      <label v-if="kind === 'whole'" class="flex items-center gap-2">
        <input
          type="number"
          min="1"
          max="360"
          :class="smallField"
          class="w-24"
          :value="Math.round(time.whole / 60)"
          @change="set({ whole: whole($event, 1, 360) * 60 })"
        />
        {{ t('minutes_from_when_one_begins') }}
      </label>
      <input
        v-if="kind === 'clock'"
        type="datetime-local"
        :aria-label="t('until_when')"
        :class="smallField"
        :value="until"
        @change="set({ until: Date.parse(($event.target as HTMLInputElement).value) || null })"
      />
    </div>
    <p v-if="problem" role="alert" class="text-wrong">{{ problem }}</p>
    <p v-if="kind !== 'none'" class="text-[15px] text-slate">
      {{ t('who_needs_more_time') }}
    </p>
  </div>
</template>
