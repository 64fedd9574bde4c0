<script setup lang="ts">
/** A part of a board: its text, its picture, or a sign for what is played once it is touched. */
import { computed } from 'vue'
import MediaView from '@/media/shown/MediaView.vue'
import { isPlayed, type Face } from './faces'

const props = defineProps<{ face?: Face }>()
const isHeard = computed(() => isPlayed(props.face?.media))
</script>

<template>
  <span class="flex min-w-0 flex-col gap-1 [--option-picture:7rem]">
    <MediaView v-if="face?.media && !isHeard" :media="face.media" small />
    <span v-if="isHeard" class="flex items-center gap-2">
      <svg viewBox="0 0 20 20" class="size-6 shrink-0" fill="none" stroke="currentColor" aria-hidden="true">
        <path d="M3 7.5H6L11 3.5V16.5L6 12.5H3Z" fill="currentColor" />
        <path d="M13.5 7Q15.5 10 13.5 13M16 5Q19.5 10 16 15" stroke-width="1.6" stroke-linecap="round" />
      </svg>
      <span v-if="!face!.html" dir="auto">{{ face!.said }}</span>
    </span>
    <span v-if="face?.html" class="prose min-w-0 wrap-anywhere" dir="auto" v-html="face.html" />
  </span>
</template>
