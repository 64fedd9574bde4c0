<script setup lang="ts">
/** How many attempts, which of them counts, what ends one, and when it is passed. */
import type { Terms } from '@/api/types'
import { smallField } from '@/ui/recipes'

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
        ><span class="font-bold">Attempts</span>
        <select
          :class="smallField"
          :value="terms.attempts ?? 0"
          @change="set({ attempts: Number(($event.target as HTMLSelectElement).value) || null })"
        >
          <option v-for="count in [1, 2, 3, 5, 10]" :key="count" :value="count">{{ count }}</option>
          <option :value="0">as many as they like</option>
        </select>
      </label>
      <label v-if="terms.attempts !== 1" class="flex items-center gap-2"
        >of which
        <select v-model="terms.counts" :class="smallField">
          <option value="best">the best counts</option>
          <option value="last">the last counts</option>
          <option value="mean">the mean counts</option>
        </select>
      </label>
    </div>
    <fieldset class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <legend class="sr-only">What one works for</legend>
      <span class="font-bold" aria-hidden="true">Done</span>
      <label class="flex items-center gap-2"
        >after
        <input
          type="number"
          min="1"
          max="300"
          placeholder="all"
          :class="smallField"
          class="w-20"
          :value="terms.target.right ?? ''"
          @change="aim({ right: numberIn($event, 300) })"
        />
        right answers
      </label>
      <label class="flex items-center gap-2"
        >or after
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
        minutes
      </label>
    </fieldset>
    <p class="text-[15px] text-slate">
      Left empty, one works through all questions, and hands in. Whichever is reached first ends an attempt.
    </p>
    <label class="flex items-center gap-2"
      ><span class="font-bold">Passed with</span>
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
