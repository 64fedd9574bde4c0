<script setup lang="ts">
/** What belongs to a question's words: its picture (in the fog, where it is), its sound, its video. */
import { computed } from 'vue'
import type { Shown } from '@/api/types'
import { viewsOf } from '../registry'
import FogPicture from './FogPicture.vue'
import { timeGone } from './fog'
import MediaView from '@/media/shown/MediaView.vue'
import QuestionPicture from './QuestionPicture.vue'

const props = defineProps<{
  shown: Shown
  isOpen: boolean
  /** The server's time, in milliseconds. */
  now: number
  /** The picture is seen whole from the start. */
  withoutFog?: boolean
  /** What it shows, for whom it is not in the fog. */
  description?: string
  sizes?: string
}>()

const item = computed(() => props.shown.item)
const picture = computed(() => {
  const found = viewsOf(item.value).showsPicture ? null : (item.value.picture ?? null)
  return found && props.description ? { ...found, description: props.description } : found
})
const fog = computed(() => (props.withoutFog ? 'none' : (item.value.fog ?? 'none')))
</script>

<template>
  <div class="space-y-3">
    <FogPicture
      v-if="picture && fog !== 'none'"
      :picture="picture"
      :fog="fog"
      :item="item.id"
      :gone="timeGone(shown, isOpen, now)"
      :sizes="sizes"
    />
    <QuestionPicture v-else-if="picture" :picture="picture" :sizes="sizes" />
    <p v-if="picture?.credit" class="text-[max(var(--least,0px),0.75em)] opacity-80">{{ picture.credit }}</p>
    <MediaView v-if="item.sound" :media="{ ...item.sound, type: 'sound' }" />
    <MediaView v-if="item.video" :media="{ ...item.video, type: 'video' }" />
  </div>
</template>
