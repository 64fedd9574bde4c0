<script setup lang="ts">
/** Whether every part has to be right, or each right part counts. */
import ChipMenu from '@/ui/ChipMenu.vue'
import { t } from './words'

defineProps<{ value: boolean }>()
const emit = defineEmits<{ choose: [value: boolean] }>()
const WAYS = [
  { value: false, label: t('each_right_part_counts') },
  { value: true, label: t('all_or_nothing') },
] as const
</script>

<template>
  <ChipMenu :label="t('marking')" :choices="WAYS" :value="value" @choose="emit('choose', $event)" />
</template>
