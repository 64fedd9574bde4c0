<script setup lang="ts">
/** Which questions of the set, and in which order. */
import { computed } from 'vue'
import type { RunOffer, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'
import { t } from './words'

const props = defineProps<{ offer: Pick<RunOffer, 'topics' | 'questions'>; problem?: string }>()
const settings = defineModel<Settings>({ required: true })
type Questions = Settings['questions']

const isLed = computed(() => settings.value.manner === 'led')
const questions = computed(() => settings.value.questions)
const set = (change: Partial<Questions>): void => {
  settings.value = { ...settings.value, questions: { ...questions.value, ...change } }
}
const PICKS: [Questions['pick'], string][] = [
  ['all', t('all_of_them')],
  ['first', t('the_first')],
  ['same', t('drawn_the_same_for_everyone')],
  ['each', t('drawn_for_each_student')],
]
const picks = computed(() => PICKS.filter(([pick]) => pick !== 'each' || !isLed.value))
const pick = computed(() => (questions.value.pick === 'each' && isLed.value ? 'same' : questions.value.pick))

function toggle(topic: string, on: boolean): void {
  const others = questions.value.topics.filter((one) => one !== topic)
  set({ topics: on ? [...others, topic] : others })
}
</script>

<template>
  <div class="space-y-3 py-3">
    <div class="flex flex-wrap items-center gap-2">
      <label for="run-pick" class="font-bold">{{ t('questions') }}</label>
      <select
        id="run-pick"
        :class="smallField"
        :value="pick"
        @change="set({ pick: ($event.target as HTMLSelectElement).value as Questions['pick'] })"
      >
        <option v-for="[value, words] in picks" :key="value" :value="value">{{ words }}</option>
      </select>
      <template v-if="pick !== 'all'">
        <input
          type="number"
          min="1"
          :max="Math.max(1, props.offer.questions)"
          :aria-label="t('how_many')"
          :class="smallField"
          class="w-20"
          :value="questions.count"
          @change="
            set({
              count: Math.min(
                300,
                Math.max(1, Math.round(Number(($event.target as HTMLInputElement).value)) || 1),
              ),
            })
          "
        />
        <label v-if="offer.topics.length > 1" class="flex items-center gap-2">
          <input
            type="checkbox"
            :checked="questions.per_topic"
            @change="set({ per_topic: ($event.target as HTMLInputElement).checked })"
          />
          {{ t('of_each_topic') }}
        </label>
      </template>
    </div>
    <fieldset v-if="offer.topics.length">
      <legend class="mb-1 font-bold">{{ t('topics') }}</legend>
      <div class="flex flex-wrap gap-x-5 gap-y-1">
        <label v-for="one in offer.topics" :key="one.topic" class="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            :checked="questions.topics.includes(one.topic)"
            @change="toggle(one.topic, ($event.target as HTMLInputElement).checked)"
          />
          {{ one.topic }} <span class="text-slate">{{ one.questions }}</span>
        </label>
      </div>
      <p class="text-[15px] text-slate">{{ t('with_none_ticked_questions_of_every') }}</p>
    </fieldset>
    <p v-if="problem" role="alert" class="text-wrong">{{ problem }}</p>
    <div class="divide-y divide-rule border-t border-rule">
      <UiSwitch
        v-model="settings.mix_questions"
        :label="t('mix_the_questions')"
        :hint="isLed ? t('one_new_order_for_everyone_pages') : t('another_order_for_each_student_pages')"
      />
      <UiSwitch
        v-model="settings.mix_options"
        :label="t('mix_the_options')"
        :hint="isLed ? t('in_one_new_order_the_same') : t('neighbours_see_them_in_other_orders')"
      />
    </div>
  </div>
</template>
