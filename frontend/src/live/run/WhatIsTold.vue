<script setup lang="ts">
/** What students see of it, when, and what the big screen shows. */
import { computed } from 'vue'
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'
import ClosingWords from './ClosingWords.vue'

const settings = defineModel<Settings>({ required: true })
const isLed = computed(() => settings.value.manner === 'led')
type Feedback = Settings['feedback']

const LED: [Feedback, string][] = [
  ['each', 'after each question'],
  ['end', 'at the end'],
  ['opened', 'after you open it'],
  ['never', 'never'],
]
const OWN: [Feedback, string][] = [
  ['each', 'after each answer'],
  ['handed_in', 'once one has handed in'],
  ['end', 'when you end the session'],
  ['opened', 'after you open it'],
  ['never', 'never'],
]
const feedback = computed(() =>
  isLed.value && settings.value.feedback === 'handed_in' ? 'end' : settings.value.feedback,
)
const WALLS: [keyof Settings['wall'], string][] = [
  ['live', 'fill on the big screen as they come'],
  ['held', 'are read by you before anything is shown'],
  ['backing', 'let students back each other’s texts'],
  ['named', 'say who wrote what'],
]
</script>

<template>
  <div class="divide-y divide-rule">
    <label class="flex flex-wrap items-center gap-2 py-3"
      ><span class="font-bold">What was right is told</span>
      <select
        :class="smallField"
        :value="feedback"
        @change="settings.feedback = ($event.target as HTMLSelectElement).value as Feedback"
      >
        <option v-for="[value, words] in isLed ? LED : OWN" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
    <UiSwitch
      v-model="settings.marks"
      label="Tell each one how their answer went"
      hint="Else devices show what was right, and say no more."
    />
    <UiSwitch v-model="settings.explanations" label="Show the explanations" hint="With what was right." />
    <UiSwitch
      v-if="isLed"
      v-model="settings.points"
      label="Show points on the devices"
      hint="What each answer earned. Grades never read points."
    />
    <UiSwitch
      v-if="isLed && feedback === 'each'"
      v-model="settings.show_standings"
      label="Show standings"
      hint="Points and places after each scored question."
    />
    <UiSwitch
      v-model="settings.names_on_screen"
      label="Names on the big screen"
      hint="Who has come in, and who is ahead. Else it says how many."
    />
    <fieldset v-if="isLed" class="py-3">
      <legend class="font-bold">Walls of texts and words</legend>
      <label v-for="[key, words] in WALLS" :key="key" class="flex min-h-8 items-center gap-2">
        <input
          type="checkbox"
          class="size-4 accent-tide"
          :checked="settings.wall[key]"
          @change="settings.wall = { ...settings.wall, [key]: !settings.wall[key] }"
        />
        {{ words }}
      </label>
    </fieldset>
    <UiSwitch
      v-model="settings.notes"
      label="Students may write to you"
      hint="A few words that only your desk shows. You can reply to each."
    />
    <ClosingWords v-model="settings" />
  </div>
</template>
