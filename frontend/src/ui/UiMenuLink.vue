<script setup lang="ts">
/** A file in a menu, to be fetched. */
import { MenuItem } from '@headlessui/vue'
import { menuItem } from './recipes'

defineProps<{ href: string }>()
</script>

<template>
  <MenuItem v-slot="{ active }">
    <a :href="href" download :class="[menuItem, 'whitespace-nowrap', active && 'bg-tide-wash']"><slot /></a>
  </MenuItem>
</template>
