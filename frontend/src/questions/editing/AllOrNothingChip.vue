<script setup lang="ts">
/** Whether every part has to be right, or each right part counts. */
import ChipMenu from '@/ui/ChipMenu.vue'

defineProps<{ value: boolean }>()
const emit = defineEmits<{ choose: [value: boolean] }>()
const WAYS = [
  { value: false, label: 'each right part counts' },
  { value: true, label: 'all or nothing' },
] as const
</script>

<template>
  <ChipMenu label="Marking" :choices="WAYS" :value="value" @choose="emit('choose', $event)" />
</template>
