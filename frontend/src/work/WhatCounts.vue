<script setup lang="ts">
/** How many attempts, which of them counts, what ends one, and when it is passed. */
import type { Terms } from '@/api/types'
import { smallField } from '@/ui/recipes'
import { t } from './words'

const terms = defineModel<Terms>({ required: true })
const set = (change: Partial<Terms>): void => {
  terms.value = { ...terms.value, ...change }
}
const aim = (change: Partial<Terms['target']>): void => set({ target: { ...terms.value.target, ...change } })
const numberIn = (event: Event, most: number): number | null => {
  const value = Math.round(Number((event.target as HTMLInputElement).value))
  return value > 0 ? Math.min(most, value) : null
}
</script>

<template>
  <div class="space-y-3 py-3">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <label class="flex items-center gap-2"
        ><span class="font-bold">{{ t('attempts') }}</span>
        <select
          :class="smallField"
          :value="terms.attempts ?? 0"
          @change="set({ attempts: Number(($event.target as HTMLSelectElement).value) || null })"
        >
          <option v-for="count in [1, 2, 3, 5, 10]" :key="count" :value="count">{{ count }}</option>
          <option :value="0">{{ t('as_many_as_they_like') }}</option>
        </select>
      </label>
      <label v-if="terms.attempts !== 1" class="flex items-center gap-2"
        >{{ t('of_which') }}
        <select v-model="terms.counts" :class="smallField">
          <option value="best">{{ t('the_best_counts') }}</option>
          <option value="last">{{ t('the_last_counts') }}</option>
          <option value="mean">{{ t('the_mean_counts') }}</option>
        </select>
      </label>
    </div>
    <fieldset class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <legend class="sr-only">{{ t('what_one_works_for') }}</legend>
      <span class="font-bold" aria-hidden="true">{{ t('done') }}</span>
      <label class="flex items-center gap-2"
        >{{ t('after') }}
        <input
          type="number"
          min="1"
          max="300"
          :placeholder="t('all')"
          :class="smallField"
          class="w-20"
          :value="terms.target.right ?? ''"
          @change="aim({ right: numberIn($event, 300) })"
        />
        {{ t('right_answers') }}
      </label>
      <label class="flex items-center gap-2"
        >{{ t('or_after') }}
        <input
          type="number"
          min="1"
          max="600"
          placeholder="–"
          :class="smallField"
          class="w-20"
          :value="terms.target.minutes ?? ''"
          @change="aim({ minutes: numberIn($event, 600) })"
        />
        {{ t('minutes') }}
      </label>
    </fieldset>
    <p class="text-[15px] text-slate">
      {{ t('left_empty_one_works_through_all') }}
    </p>
    <label class="flex items-center gap-2"
      ><span class="font-bold">{{ t('passed_with') }}</span>
      <input
        type="number"
        min="1"
        max="100"
        placeholder="–"
        :class="smallField"
        class="w-20"
        :value="terms.pass_mark ?? ''"
        @change="set({ pass_mark: numberIn($event, 100) })"
      />
      %
    </label>
  </div>
</template>
