<script setup lang="ts">
/** What students see of it, when, and what the big screen shows. */
import { computed } from 'vue'
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'
import ClosingWords from './ClosingWords.vue'
import { t } from './words'

const settings = defineModel<Settings>({ required: true })
const isLed = computed(() => settings.value.manner === 'led')
type Feedback = Settings['feedback']

const LED: [Feedback, string][] = [
  ['each', t('after_each_question')],
  ['end', t('at_the_end')],
  ['opened', t('after_you_open_it')],
  ['never', t('never')],
]
const OWN: [Feedback, string][] = [
  ['each', t('after_each_answer')],
  ['handed_in', t('once_one_has_handed_in')],
  ['end', t('when_you_end_the_session')],
  ['opened', t('after_you_open_it')],
  ['never', t('never')],
]
const feedback = computed(() =>
  isLed.value && settings.value.feedback === 'handed_in' ? 'end' : settings.value.feedback,
)
const WALLS: [keyof Settings['wall'], string][] = [
  ['live', t('fill_on_the_big_screen')],
  ['held', t('are_read_by_you_before_anything')],
  ['backing', t('let_students_back_each_others_texts')],
  ['named', t('say_who_wrote_what')],
]
</script>

<template>
  <div class="divide-y divide-rule">
    <label class="flex flex-wrap items-center gap-2 py-3"
      ><span class="font-bold">{{ t('what_was_right_is_told') }}</span>
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
      :label="t('tell_each_one_how_their_answer')"
      :hint="t('else_devices_show_what_was_right')"
    />
    <UiSwitch
      v-model="settings.explanations"
      :label="t('show_the_explanations')"
      :hint="t('with_what_was_right')"
    />
    <UiSwitch
      v-if="isLed"
      v-model="settings.points"
      :label="t('show_points_on_the_devices')"
      :hint="t('what_each_answer_earned_grades_never')"
    />
    <UiSwitch
      v-if="isLed && feedback === 'each'"
      v-model="settings.show_standings"
      :label="t('show_standings')"
      :hint="t('points_and_places_after_each_scored')"
    />
    <UiSwitch
      v-model="settings.names_on_screen"
      :label="t('names_on_the_big_screen')"
      :hint="t('who_has_come')"
    />
    <fieldset v-if="isLed" class="py-3">
      <legend class="font-bold">{{ t('walls_of_texts_and_words') }}</legend>
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
      :label="t('students_may_write_to_you')"
      :hint="t('a_few_words_that_only')"
    />
    <ClosingWords v-model="settings" />
  </div>
</template>
