<script setup lang="ts">
/** How it looks on this device: what can be chosen is loaded when it is wanted. */
import { defineAsyncComponent, ref } from 'vue'
import { t } from './words'

const OwnLookPanel = defineAsyncComponent(() => import('./OwnLookPanel.vue'))
const open = ref(false)
</script>

<template>
  <div class="relative" @keydown.esc="open = false">
    <button
      type="button"
      class="min-h-10 min-w-11 font-bold"
      :aria-expanded="open"
      aria-controls="own-look"
      @click="open = !open"
    >
      Aa<span class="sr-only">: {{ t('look_of_device') }}</span>
    </button>
    <OwnLookPanel v-if="open" id="own-look" />
  </div>
</template>
