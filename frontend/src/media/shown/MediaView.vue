<script setup lang="ts">
/** A picture, a sound or a video, as students and the big screen see it. */
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import type { Film, Media, Picture, Recording } from '@/api/types'
import { captionsUrl, fileUrl, pictureSet, pictureUrl } from '@/media/shown/pictures'
import { t } from './words'

const props = defineProps<{
  media: Media
  small?: boolean
  /** It is played as it comes: somebody has just asked for it. */
  plays?: boolean
}>()
const player = ref<HTMLMediaElement>()
const asText = ref(false)

const film = computed(() => (props.media.type === 'video' ? (props.media as Film) : null))
const sound = computed(() => (props.media.type === 'sound' ? (props.media as Recording) : null))
const picture = computed(() => (film.value || sound.value ? null : (props.media as Picture)))
const span = computed(() => {
  const { start, end } = film.value ?? sound.value ?? {}
  return { start: start ?? 0, end: end ?? Infinity }
})

/** Plays from the start point, also after the end point was reached. */
function begin(): void {
  if (!player.value) return
  const { start, end } = span.value
  const at = player.value.currentTime
  if (at < start || at >= end - 0.05) player.value.currentTime = start
}

function watchEnd(): void {
  if (player.value && player.value.currentTime >= span.value.end) player.value.pause()
}

onMounted(() => {
  // Where a browser wants another touch, there is the button.
  if (props.plays) void player.value?.play().catch(() => {})
})
onBeforeUnmount(() => player.value?.pause())
</script>

<template>
  <img
    v-if="picture"
    :src="pictureUrl(picture, small ? 480 : 960)"
    :srcset="pictureSet(picture)"
    :sizes="small ? '(min-width: 900px) 440px, 240px' : '100vw'"
    :alt="picture.description"
    :width="picture.width"
    :height="picture.height"
    class="h-auto w-auto max-w-full rounded object-contain"
    :class="small ? 'max-h-(--option-picture,5.5em) min-w-0' : 'max-h-[38vh]'"
  />
  <video
    v-else-if="film"
    ref="player"
    controls
    playsinline
    preload="metadata"
    class="max-h-[45vh] w-full rounded bg-ink"
    :aria-label="film.description || t('video')"
    :src="fileUrl(film, 'video')"
    @loadedmetadata="begin"
    @play="begin"
    @timeupdate="watchEnd"
  >
    <track
      v-if="film.captions"
      kind="captions"
      default
      :label="t('captions')"
      :src="captionsUrl(film.captions)"
    />
  </video>
  <div v-else-if="sound" class="w-full min-w-48">
    <audio
      ref="player"
      controls
      preload="metadata"
      class="w-full"
      :aria-label="t('sound')"
      :src="fileUrl(sound, 'sound')"
      @loadedmetadata="begin"
      @play="begin"
      @timeupdate="watchEnd"
    />
    <template v-if="sound.transcript">
      <button
        type="button"
        class="mt-1 min-h-11 text-[15px] font-bold underline underline-offset-4"
        :aria-expanded="asText"
        @click="asText = !asText"
      >
        {{ t(asText ? 'hide_text' : 'read_instead') }}
      </button>
      <p v-if="asText" dir="auto">{{ sound.transcript }}</p>
    </template>
  </div>
</template>
