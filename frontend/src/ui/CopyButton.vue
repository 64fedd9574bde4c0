<script setup lang="ts">
/** Puts a text on the clipboard, also where a school serves without TLS and browsers hide the clipboard. */
import { useClipboard } from '@vueuse/core'
import { t } from './words'

const props = defineProps<{ text: string }>()
const { copy, copied } = useClipboard({ legacy: true, copiedDuring: 3000 })
</script>

<template>
  <button type="button" class="font-bold text-tide underline" @click="copy(props.text)">
    <span aria-live="polite">{{ copied ? t('copied') : t('copy') }}</span>
  </button>
</template>
