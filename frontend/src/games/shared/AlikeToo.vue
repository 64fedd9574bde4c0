<script setup lang="ts">
/** Those who share the last place that is shown, where there is no room to name them all: nobody is left out by chance. */
import type { ScreenView } from '@/api/types'
import { t } from './words'

defineProps<{ view: ScreenView }>()
</script>

<template>
  <span v-if="view.more_alike">
    {{ t('more_share', { n: view.more_alike, place: view.standings.at(-1)!.place }) }}
  </span>
</template>
