<script setup lang="ts">
/** A kind's view, loaded when it is first needed, in its question's language. Attributes and events pass through to it. */
import type { Kind, PublicItem } from '@/api/types'
import { registry } from '../registry'
import { useLateView } from './useLateView'

const props = defineProps<{ kind: Kind; part: 'player' | 'result'; item: PublicItem }>()
const emit = defineEmits<{ failed: [] }>()
const view = useLateView(
  () => [`${props.kind}.${props.part}`, registry[props.kind][props.part]],
  () => emit('failed'),
)
</script>

<template>
  <component :is="view" v-if="view" :item="item" :lang="item.language || undefined" />
</template>
