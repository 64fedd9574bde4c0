<script setup lang="ts">
import { button, type ButtonLook, type ButtonSize } from './recipes'

defineProps<{
  look?: ButtonLook
  size?: ButtonSize
  /** The key that does the same, shown beside the words. */
  hint?: string
}>()
</script>

<template>
  <button type="button" :class="button(look ?? 'plain', size)">
    <slot />
    <kbd
      v-if="hint"
      aria-hidden="true"
      class="rounded-sm border border-current px-1.5 font-text text-xs font-normal opacity-80"
      >{{ hint }}</kbd
    >
  </button>
</template>
