<script setup lang="ts">
/** Whether answers can be changed, when it is told what was right, and what one sees in the end. */
import type { Settings, Terms } from '@/api/types'
import { ClosingWords } from '@/live/run'
import UiSwitch from '@/ui/UiSwitch.vue'
import { smallField } from '@/ui/recipes'
import { t } from './words'

const settings = defineModel<Settings>('settings', { required: true })
const terms = defineModel<Terms>('terms', { required: true })
type Feedback = Settings['feedback']

const FEEDBACK: [Feedback, string][] = [
  ['each', t('after_each_answer')],
  ['handed_in', t('once_one_has_handed_in')],
  ['opened', t('when_it_is_due')],
  ['never', t('never')],
]
</script>

<template>
  <div class="divide-y divide-rule">
    <div class="flex flex-wrap gap-x-6 gap-y-2 py-3">
      <label class="flex items-center gap-2"
        ><span class="font-bold">{{ t('an_answer_is') }}</span>
        <select v-model="settings.answers" :class="smallField">
          <option value="changeable">{{ t('changeable_until_handed_in') }}</option>
          <option value="final">{{ t('final_once_sent') }}</option>
        </select>
      </label>
      <label class="flex items-center gap-2"
        ><span class="font-bold">{{ t('what_was_right_is_told') }}</span>
        <select v-model="settings.feedback" :class="smallField">
          <option v-for="[value, words] in FEEDBACK" :key="value" :value="value">{{ words }}</option>
        </select>
      </label>
    </div>
    <UiSwitch
      v-if="settings.feedback === 'each' && settings.game?.game === 'points'"
      v-model="settings.comes_back"
      :label="t('what_was_missed_comes_back')"
      :hint="t('after_three_other_questions_and_again')"
    />
    <UiSwitch
      v-model="settings.marks"
      :label="t('tell_each_one_how_their_answer')"
      :hint="t('else_devices_show_what_was_right')"
    />
    <UiSwitch
      v-model="settings.explanations"
      :label="t('show_the_explanations')"
      :hint="t('with_what_was_right')"
    />
    <ClosingWords v-model="settings" />
    <UiSwitch
      v-model="terms.asks_first"
      :label="t('ask_before_the_score_is_shown')"
      :hint="t('somebody_may_not_want_to_see')"
    />
  </div>
</template>
