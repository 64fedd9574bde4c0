<script setup lang="ts">
/** What a member needs: it applies by itself wherever they work. */
import { computed } from 'vue'
import type { Needs } from '@/api/types'
import UiSwitch from '@/ui/UiSwitch.vue'
import { field } from '@/ui/recipes'
import { LANGUAGES } from '@/words'

const needs = defineModel<Needs>({ required: true })
const TIMES = ['1', '1.25', '1.5', '1.75', '2', '2.5', '3']
const TEXTS = { normal: 'usual', large: 'larger', largest: 'largest' }
const FEWER = { 0: 'all of them', 1: 'one fewer', 2: 'two fewer' }
const time = computed({
  get: () => (needs.value.no_limit ? 'none' : String(needs.value.time)),
  set: (value) =>
    set(value === 'none' ? { no_limit: true, time: 1 } : { no_limit: false, time: Number(value) }),
})
const times = computed(() =>
  [...new Set([...TIMES, String(needs.value.time)])].sort((a, b) => Number(a) - Number(b)),
)

function set(changes: Partial<Needs>): void {
  needs.value = { ...needs.value, ...changes }
}
const text = (event: Event): string => (event.target as HTMLSelectElement).value
</script>

<template>
  <fieldset class="rounded border border-rule px-4 py-3">
    <legend class="px-1 font-bold">Needs</legend>
    <p class="text-[15px] text-slate">
      They apply by themselves, and only this class’s teachers and the own device are told.
    </p>
    <div class="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-2">
      <label class="block"
        ><span class="mb-1 block">Time</span>
        <select v-model="time" :class="field">
          <option v-for="one in times" :key="one" :value="one">
            {{ one === '1' ? 'as others' : `${one} times` }}
          </option>
          <option value="none">no limit</option>
        </select>
      </label>
      <label class="block"
        ><span class="mb-1 block">Options</span>
        <select
          :value="needs.fewer_options"
          :class="field"
          @change="set({ fewer_options: Number(text($event)) })"
        >
          <option v-for="(words, count) in FEWER" :key="count" :value="count">{{ words }}</option>
        </select>
      </label>
      <label class="block"
        ><span class="mb-1 block">Text</span>
        <select :value="needs.text" :class="field" @change="set({ text: text($event) as Needs['text'] })">
          <option v-for="(words, size) in TEXTS" :key="size" :value="size">{{ words }}</option>
        </select>
      </label>
      <label class="block"
        ><span class="mb-1 block">Language of the page</span>
        <select
          :value="needs.language"
          :class="field"
          @change="set({ language: text($event) as Needs['language'] })"
        >
          <option value="">the device’s</option>
          <option v-for="(name, one) in LANGUAGES" :key="one" :value="one" :lang="one">{{ name }}</option>
        </select>
      </label>
    </div>
    <div class="grid gap-x-6 sm:grid-cols-2">
      <UiSwitch
        :model-value="needs.no_fog"
        label="Pictures without fog"
        @update:model-value="set({ no_fog: $event })"
      />
      <UiSwitch
        :model-value="needs.no_motion"
        label="No motion"
        @update:model-value="set({ no_motion: $event })"
      />
      <UiSwitch
        :model-value="needs.high_contrast"
        label="High contrast"
        @update:model-value="set({ high_contrast: $event })"
      />
      <UiSwitch
        :model-value="needs.read_aloud"
        label="Reading aloud"
        @update:model-value="set({ read_aloud: $event })"
      />
    </div>
  </fieldset>
</template>
