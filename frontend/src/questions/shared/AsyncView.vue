<script setup lang="ts">
/** A kind's view, loaded when it is first needed. Attributes and events pass through to it. A result says in which
 * language its question's words are; a player stands among them. */
import { computed } from 'vue'
import type { Kind, PublicItem } from '@/api/types'
import { registry } from '../registry'
import { useLateView } from './useLateView'

const props = defineProps<{ kind: Kind; part: 'player' | 'result'; item: PublicItem }>()
const lang = computed(() => (props.part === 'result' && props.item.language) || undefined)
const emit = defineEmits<{ failed: [] }>()
const view = useLateView(
  () => [`${props.kind}.${props.part}`, registry[props.kind][props.part]],
  () => emit('failed'),
)
</script>

<template>
  <component :is="view" v-if="view" :item="item" :lang="lang" />
</template>
