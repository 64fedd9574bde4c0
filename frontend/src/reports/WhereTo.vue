<script setup lang="ts">
/** Where something goes that is made aside. */
import type { Way } from '@/api/types'
import { t } from './words'

const to = defineModel<Way>({ required: true })
const WAYS: { value: Way; label: string }[] = [
  { value: 'download', label: t('to_be_fetched_here') },
  { value: 'mail', label: t('and_mailed_to_me') },
  { value: 'folder', label: t('and_put_into_my_folder') },
]
</script>

<template>
  <fieldset class="mt-4">
    <legend class="font-bold">{{ t('where_to') }}</legend>
    <p class="flex flex-wrap gap-x-5 gap-y-1">
      <label v-for="way in WAYS" :key="way.value" class="flex min-h-7 items-center gap-2"
        ><input v-model="to" type="radio" name="where-to" :value="way.value" class="accent-tide" />{{
          way.label
        }}</label
      >
    </p>
  </fieldset>
</template>
