<script setup lang="ts">
/** The languages in which students' devices speak at this school; the usual one first. None: all that there are. */
import { computed } from 'vue'
import { field } from '@/ui/recipes'
import { LANGUAGES, type Language } from '@/words'
import { t } from './words'

const languages = defineModel<Language[]>({ required: true })
const ALL = Object.keys(LANGUAGES) as Language[]
const chosen = computed(() => (languages.value.length ? languages.value : ALL))
const usual = computed(() => chosen.value[0]!)

function set(wanted: readonly Language[]): void {
  const isEverything = ALL.every((one, at) => wanted[at] === one)
  languages.value = isEverything ? [] : [...wanted]
}

/** In the order of the list, behind the usual one. The last one stays: a device has to speak somehow. */
function toggle(one: Language): void {
  const isOn = chosen.value.includes(one)
  if (isOn && chosen.value.length === 1) return
  const next = ALL.filter((other) => (other === one ? !isOn : chosen.value.includes(other)))
  makeUsual(next.includes(usual.value) ? usual.value : next[0]!, next)
}

function makeUsual(first: Language, among: readonly Language[] = chosen.value): void {
  set([first, ...ALL.filter((one) => one !== first && among.includes(one))])
}
</script>

<template>
  <fieldset>
    <legend class="mb-1 font-bold">{{ t('languages_of_students_devices') }}</legend>
    <div class="flex flex-wrap gap-x-5">
      <label v-for="(name, one) in LANGUAGES" :key="one" class="flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          class="size-4 accent-tide"
          :checked="chosen.includes(one)"
          @change="(toggle(one), (($event.target as HTMLInputElement).checked = chosen.includes(one)))"
        /><bdi :lang="one">{{ name }}</bdi>
      </label>
    </div>
    <p class="mb-3 text-[15px] text-slate">
      {{ t('a_device_speaks_its_own_language') }}
    </p>
    <label class="block sm:w-1/2"
      ><span class="mb-1 block">{{ t('where_it_is_not_it_speaks') }}</span>
      <select
        :value="usual"
        :class="field"
        @change="makeUsual(($event.target as HTMLSelectElement).value as Language)"
      >
        <option
          v-for="one in ALL.filter((other) => chosen.includes(other))"
          :key="one"
          :value="one"
          :lang="one"
        >
          {{ LANGUAGES[one] }}
        </option>
      </select>
    </label>
  </fieldset>
</template>
