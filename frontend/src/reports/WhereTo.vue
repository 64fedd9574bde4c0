<script setup lang="ts">
/** Where something goes that is made aside. */
import type { Way } from '@/api/types'

const to = defineModel<Way>({ required: true })
const WAYS: { value: Way; label: string }[] = [
  { value: 'download', label: 'To be fetched here' },
  { value: 'mail', label: 'And mailed to me' },
  { value: 'folder', label: 'And put into my folder' },
]
</script>

<template>
  <fieldset class="mt-4">
    <legend class="font-bold">Where to</legend>
    <p class="flex flex-wrap gap-x-5 gap-y-1">
      <label v-for="way in WAYS" :key="way.value" class="flex min-h-7 items-center gap-2"
        ><input v-model="to" type="radio" name="where-to" :value="way.value" class="accent-tide" />{{
          way.label
        }}</label
      >
    </p>
  </fieldset>
</template>
