<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { sentenceOf } from '@/told'
import RemotePage from './RemotePage.vue'
import { enter } from './useRemote'
import { t } from './words'

const token = shallowRef<string | null>(null)
const failure = ref('')

async function begin(): Promise<void> {
  try {
    token.value = await enter()
    if (!token.value) failure.value = t('open_remote_at_the_desk')
  } catch (error) {
    failure.value = sentenceOf(error)
  }
}
void begin()
</script>

<template>
  <RemotePage v-if="token" :token="token" />
  <main v-else class="p-6 text-lg">
    <h1 class="mb-3 text-3xl">{{ t('remote') }}</h1>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <p v-else role="status" class="text-slate">{{ t('connecting') }}</p>
  </main>
</template>
