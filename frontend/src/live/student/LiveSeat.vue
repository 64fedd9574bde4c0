<script setup lang="ts">
/** A seat in a running session. */
import type { Refusal } from '@/api/refusal'
import type { Joined } from '@/api/types'
import SeatView from './SeatView.vue'
import { useSeat } from './useSeat'

const props = defineProps<{ seat: Joined }>()
const emit = defineEmits<{ leave: [why?: Refusal] }>()
const link = useSeat(props.seat)
</script>

<template>
  <SeatView :link="link" :name="seat.name" :seat="seat.seat" @leave="emit('leave', $event)" />
</template>
