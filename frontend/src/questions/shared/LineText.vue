<script setup lang="ts">
/** A title or an answer in one line of a list. */
import { lineHtml } from './formulas'

defineProps<{ text: string }>()
</script>

<template>
  <span dir="auto" v-html="lineHtml(text)" />
</template>
