<script setup lang="ts">
/** A kind's view, loaded when it is first needed. Attributes and events pass through to it. */
import { defineAsyncComponent, computed, type Component } from 'vue'
import type { Kind } from '@/api/types'
import { registry } from '../registry'

const props = defineProps<{ kind: Kind; part: 'editor' | 'chips' | 'player' | 'result' }>()
const emit = defineEmits<{ failed: [] }>()

/** A phone may lose the network while the view is on its way: it is fetched again, not given up. */
const cache = new Map<string, Component>()
const view = computed(() => {
  const name = `${props.kind}.${props.part}`
  let found = cache.get(name)
  if (!found) {
    const loader = registry[props.kind][props.part]
    if (!loader) return null
    found = defineAsyncComponent({
      loader,
      onError: (_error, retry, _fail, attempts) => {
        emit('failed')
        setTimeout(retry, Math.min(5000, 500 * attempts))
      },
    })
    cache.set(name, found)
  }
  return found
})
</script>

<template>
  <component :is="view" v-if="view" />
</template>
