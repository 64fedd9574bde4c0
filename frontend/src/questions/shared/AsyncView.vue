<script setup lang="ts">
/** A kind's view, loaded when it is first needed. Attributes and events pass through to it. */
import type { Kind } from '@/api/types'
import { registry } from '../registry'
import { useLateView } from './useLateView'

const props = defineProps<{ kind: Kind; part: 'player' | 'result' }>()
const emit = defineEmits<{ failed: [] }>()
const view = useLateView(
  () => [`${props.kind}.${props.part}`, registry[props.kind][props.part]],
  () => emit('failed'),
)
</script>

<template>
  <component :is="view" v-if="view" />
</template>
