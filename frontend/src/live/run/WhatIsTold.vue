<script setup lang="ts">
/** What students see of it, when, and what the big screen shows. */
import { computed } from 'vue'
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'

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
const SCORES: [Settings['closing']['score'], string][] = [
  ['none', 'not shown'],
  ['marks', 'as “7 of 9”'],
  ['percent', 'as “78 %”'],
  ['both', 'as both'],
]
const WALLS: [keyof Settings['wall'], string][] = [
  ['live', 'fill on the big screen as they come'],
  ['held', 'are read by you before anything is shown'],
  ['backing', 'let students back each other’s texts'],
  ['named', 'say who wrote what'],
]
const close = (change: Partial<Settings['closing']>): void => {
  settings.value = { ...settings.value, closing: { ...settings.value.closing, ...change } }
}
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
    <div class="space-y-2 py-3">
      <label class="flex flex-wrap items-center gap-2"
        ><span class="font-bold">Their own score, in the end</span>
        <select
          :class="smallField"
          :value="settings.closing.score"
          @change="
            close({ score: ($event.target as HTMLSelectElement).value as Settings['closing']['score'] })
          "
        >
          <option v-for="[value, words] in SCORES" :key="value" :value="value">{{ words }}</option>
        </select>
      </label>
      <label class="block"
        ><span class="mb-1 block">Words of your own for the end</span>
        <textarea
          rows="2"
          maxlength="500"
          :class="smallField"
          class="w-full"
          :value="settings.closing.words"
          @input="close({ words: ($event.target as HTMLTextAreaElement).value })"
        />
      </label>
    </div>
  </div>
</template>
