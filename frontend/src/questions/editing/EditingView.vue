<script setup lang="ts">
/** What a kind has for those who write it, loaded when it is first needed. Attributes and events pass through to it. */
import type { Kind } from '@/api/types'
import { useLateView } from '../shared/useLateView'
import { editings } from '.'

const props = defineProps<{ kind: Kind; part: 'editor' | 'chips' }>()
const view = useLateView(() => {
  const loader = editings[props.kind][props.part]
  return loader ? [`${props.kind}.${props.part}`, loader] : null
})
</script>

<template>
  <component :is="view" v-if="view" />
</template>
