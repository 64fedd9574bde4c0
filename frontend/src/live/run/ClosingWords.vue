<script setup lang="ts">
/** What somebody sees in the end: their score in a form, and words of the teacher's own. */
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import { t } from './words'

const settings = defineModel<Settings>({ required: true })
type Score = Settings['closing']['score']

const SCORES: [Score, string][] = [
  ['none', t('not_shown')],
  ['marks', t('as_7_of_9')],
  ['percent', t('as_78')],
  ['both', t('as_both')],
]
const close = (change: Partial<Settings['closing']>): void => {
  settings.value = { ...settings.value, closing: { ...settings.value.closing, ...change } }
}
</script>

<template>
  <div class="space-y-2 py-3">
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('their_own_score_in_the_end') }}</span>
      <select
        :class="smallField"
        :value="settings.closing.score"
        @change="close({ score: ($event.target as HTMLSelectElement).value as Score })"
      >
        <option v-for="[value, words] in SCORES" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
    <label class="block"
      ><span class="mb-1 block">{{ t('words_of_your_own') }}</span>
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
</template>
