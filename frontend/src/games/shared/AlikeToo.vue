<script setup lang="ts">
/** Those who share the last place that is shown, where there is no room to name them all: nobody is left out by chance. */
import type { ScreenView } from '@/api/types'

defineProps<{ view: ScreenView }>()
</script>

<template>
  <span v-if="view.more_alike">
    {{ view.more_alike === 1 ? '1 more shares' : `${view.more_alike} more share` }} place
    {{ view.standings.at(-1)!.place }}.
  </span>
</template>
