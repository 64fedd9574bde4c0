<script setup lang="ts">
/** What one has, in the end and between questions. */
import { t } from './words'

defineProps<{ right: number }>()
</script>

<template>
  <p class="pt-6 text-3xl font-bold" role="status">{{ t('first_try', { right }) }}</p>
</template>
