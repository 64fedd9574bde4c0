<script setup lang="ts">
/** Whether answers can be changed, when it is told what was right, and what one sees in the end. */
import type { Settings, Terms } from '@/api/types'
import UiSwitch from '@/ui/UiSwitch.vue'
import { smallField } from '@/ui/recipes'

const settings = defineModel<Settings>('settings', { required: true })
const terms = defineModel<Terms>('terms', { required: true })
type Feedback = Settings['feedback']

const FEEDBACK: [Feedback, string][] = [
  ['each', 'after each answer'],
  ['handed_in', 'once one has handed in'],
  ['opened', 'when it is due'],
  ['never', 'never'],
]
const SCORES: [Settings['closing']['score'], string][] = [
  ['none', 'not shown'],
  ['marks', 'as “7 of 9”'],
  ['percent', 'as “78 %”'],
  ['both', 'as both'],
]
const close = (change: Partial<Settings['closing']>): void => {
  settings.value = { ...settings.value, closing: { ...settings.value.closing, ...change } }
}
</script>

<template>
  <div class="divide-y divide-rule">
    <div class="flex flex-wrap gap-x-6 gap-y-2 py-3">
      <label class="flex items-center gap-2"
        ><span class="font-bold">An answer is</span>
        <select v-model="settings.answers" :class="smallField">
          <option value="changeable">changeable until handed in</option>
          <option value="final">final once sent</option>
        </select>
      </label>
      <label class="flex items-center gap-2"
        ><span class="font-bold">What was right is told</span>
        <select v-model="settings.feedback" :class="smallField">
          <option v-for="[value, words] in FEEDBACK" :key="value" :value="value">{{ words }}</option>
        </select>
      </label>
    </div>
    <UiSwitch
      v-model="settings.marks"
      label="Tell each one how their answer went"
      hint="Else devices show what was right, and say no more."
    />
    <UiSwitch v-model="settings.explanations" label="Show the explanations" hint="With what was right." />
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
    <UiSwitch
      v-model="terms.asks_first"
      label="Ask before the score is shown"
      hint="Somebody may not want to see it where others look on."
    />
  </div>
</template>
