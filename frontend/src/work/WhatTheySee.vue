<script setup lang="ts">
/** Whether answers can be changed, when it is told what was right, and what one sees in the end. */
import type { Settings, Terms } from '@/api/types'
import { ClosingWords } from '@/live/run'
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
      v-if="settings.feedback === 'each' && settings.game?.game === 'points'"
      v-model="settings.comes_back"
      label="What was missed comes back"
      hint="After three other questions, and again later with its options mixed, or typed: until it was right twice. The first answer counts."
    />
    <UiSwitch
      v-model="settings.marks"
      label="Tell each one how their answer went"
      hint="Else devices show what was right, and say no more."
    />
    <UiSwitch v-model="settings.explanations" label="Show the explanations" hint="With what was right." />
    <ClosingWords v-model="settings" />
    <UiSwitch
      v-model="terms.asks_first"
      label="Ask before the score is shown"
      hint="Somebody may not want to see it where others look on."
    />
  </div>
</template>
