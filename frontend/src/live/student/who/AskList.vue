<script setup lang="ts">
/** One's own name out of the class list; a taken one shows as taken. */
import { computed, ref } from 'vue'
import { input, type Asking, type Who } from './who'
import { t } from '../words'

const props = defineProps<Asking>()
const who = defineModel<Who>({ required: true })
const wanted = ref('')
/** From here on one looks for a name rather than reads them all. */
const MANY = 15
const names = computed(() => props.info.names ?? [])
const found = computed(() => {
  const text = wanted.value.trim().toLocaleLowerCase()
  return names.value.filter((one) => one.name.toLocaleLowerCase().includes(text))
})
</script>

<template>
  <fieldset>
    <legend class="mb-2 font-bold">{{ t('who_are_you') }}</legend>
    <input
      v-if="names.length > MANY"
      v-model="wanted"
      type="search"
      :class="input"
      class="mb-2"
      :aria-label="t('find_your_name')"
      :placeholder="t('find_your_name')"
    />
    <p v-if="!names.length" class="text-slate">{{ t('list_empty') }}</p>
    <p v-else-if="!found.length" class="text-slate">{{ t('nobody_called_so') }}</p>
    <ul class="divide-y divide-rule rounded border border-rule bg-sheet">
      <li v-for="one in found" :key="one.key">
        <label
          class="flex min-h-11 items-center gap-3 px-3 py-2 text-lg has-checked:bg-tide-wash has-checked:font-bold has-focus-visible:outline-3 has-focus-visible:outline-tide"
          :class="one.taken && 'text-slate'"
        >
          <input
            type="radio"
            name="member"
            class="size-5 accent-tide"
            :value="one.key"
            :checked="who.member === one.key"
            :disabled="one.taken"
            @change="who = { member: one.key }"
          />
          <span class="grow wrap-anywhere" dir="auto">{{ one.name }}</span>
          <span v-if="one.taken" class="text-[15px]">{{ t('taken') }}</span>
        </label>
      </li>
    </ul>
    <p class="mt-2 min-h-6" :class="errors.member ? 'text-wrong' : 'text-slate'" role="status">
      {{ errors.member ?? (names.some((one) => one.taken) ? t('taken_hint') : '') }}
    </p>
  </fieldset>
</template>
