<script setup lang="ts">
/** One action in a menu. */
import { MenuItem } from '@headlessui/vue'
import { menuItem } from './recipes'

defineProps<{ danger?: boolean }>()
const emit = defineEmits<{ act: [] }>()
</script>

<template>
  <MenuItem v-slot="{ active }">
    <button
      type="button"
      :class="[menuItem, active && 'bg-tide-wash', danger && 'text-wrong']"
      @click="emit('act')"
    >
      <slot />
    </button>
  </MenuItem>
</template>
