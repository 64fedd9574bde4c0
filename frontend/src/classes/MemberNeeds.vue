<script setup lang="ts">
/** What a member needs: it applies by itself wherever they work. */
import { computed } from 'vue'
import type { Needs } from '@/api/types'
import UiSwitch from '@/ui/UiSwitch.vue'
import { field } from '@/ui/recipes'
import { LANGUAGES } from '@/words'
import { t } from './words'

const needs = defineModel<Needs>({ required: true })
const TIMES = ['1', '1.25', '1.5', '1.75', '2', '2.5', '3']
const TEXTS = { normal: t('usual'), large: t('larger'), largest: t('largest') }
const FEWER = { 0: t('all_of_them'), 1: t('one_fewer'), 2: t('two_fewer') }
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
    <legend class="px-1 font-bold">{{ t('needs_2') }}</legend>
    <p class="text-[15px] text-slate">
      {{ t('they_apply_by_themselves_and_only') }}
    </p>
    <div class="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-2">
      <label class="block"
        ><span class="mb-1 block">{{ t('time') }}</span>
        <select v-model="time" :class="field">
          <option v-for="one in times" :key="one" :value="one">
            {{ one === '1' ? t('as_others') : t('times', { one }) }}
          </option>
          <option value="none">{{ t('no_limit') }}</option>
        </select>
      </label>
      <label class="block"
        ><span class="mb-1 block">{{ t('options') }}</span>
        <select
          :value="needs.fewer_options"
          :class="field"
          @change="set({ fewer_options: Number(text($event)) })"
        >
          <option v-for="(words, count) in FEWER" :key="count" :value="count">{{ words }}</option>
        </select>
      </label>
      <label class="block"
        ><span class="mb-1 block">{{ t('text') }}</span>
        <select :value="needs.text" :class="field" @change="set({ text: text($event) as Needs['text'] })">
          <option v-for="(words, size) in TEXTS" :key="size" :value="size">{{ words }}</option>
        </select>
      </label>
      <label class="block"
        ><span class="mb-1 block">{{ t('language_of_the_page') }}</span>
        <select
          :value="needs.language"
          :class="field"
          @change="set({ language: text($event) as Needs['language'] })"
        >
          <option value="">{{ t('the_devices') }}</option>
          <option v-for="(name, one) in LANGUAGES" :key="one" :value="one" :lang="one">{{ name }}</option>
        </select>
      </label>
    </div>
    <div class="grid gap-x-6 sm:grid-cols-2">
      <UiSwitch
        :model-value="needs.no_fog"
        :label="t('pictures_without_fog')"
        @update:model-value="set({ no_fog: $event })"
      />
      <UiSwitch
        :model-value="needs.no_motion"
        :label="t('no_motion')"
        @update:model-value="set({ no_motion: $event })"
      />
      <UiSwitch
        :model-value="needs.high_contrast"
        :label="t('high_contrast')"
        @update:model-value="set({ high_contrast: $event })"
      />
      <UiSwitch
        :model-value="needs.read_aloud"
        :label="t('reading_aloud')"
        @update:model-value="set({ read_aloud: $event })"
      />
    </div>
  </fieldset>
</template>
