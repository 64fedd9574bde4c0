<script setup lang="ts">
/** Which questions of the set, and in which order. */
import { computed } from 'vue'
import type { RunOffer, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'

const props = defineProps<{ offer: Pick<RunOffer, 'topics' | 'questions'>; problem?: string }>()
const settings = defineModel<Settings>({ required: true })
type Questions = Settings['questions']

const isLed = computed(() => settings.value.manner === 'led')
const questions = computed(() => settings.value.questions)
const set = (change: Partial<Questions>): void => {
  settings.value = { ...settings.value, questions: { ...questions.value, ...change } }
}
const PICKS: [Questions['pick'], string][] = [
  ['all', 'all of them'],
  ['first', 'the first …'],
  ['same', '… drawn, the same for everyone'],
  ['each', '… drawn for each student'],
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
      <label for="run-pick" class="font-bold">Questions</label>
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
          aria-label="How many"
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
          of each topic
        </label>
      </template>
    </div>
    <fieldset v-if="offer.topics.length">
      <legend class="mb-1 font-bold">Topics</legend>
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
      <p class="text-[15px] text-slate">With none ticked, questions of every topic are asked.</p>
    </fieldset>
    <p v-if="problem" role="alert" class="text-wrong">{{ problem }}</p>
    <div class="divide-y divide-rule border-t border-rule">
      <UiSwitch
        v-model="settings.mix_questions"
        label="Mix the questions"
        :hint="
          isLed
            ? 'One new order for everyone. Pages stay where they are.'
            : 'Another order for each student. Pages stay where they are.'
        "
      />
      <UiSwitch
        v-model="settings.mix_options"
        label="Mix the options"
        :hint="
          isLed
            ? 'In one new order, the same on every device, so that letters still agree.'
            : 'Neighbours see them in other orders. The report knows what each one chose.'
        "
      />
    </div>
  </div>
</template>
