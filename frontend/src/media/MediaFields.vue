<script setup lang="ts">
/** A medium in the editor: seen or heard, with what belongs to it, and a way to take it off. */
import { computed, ref } from 'vue'
import { sentenceOf } from '@/told'
import type { Film, Media, Recording } from '@/api/types'
import MediaView from '@/media/shown/MediaView.vue'
import NumberField from '@/ui/number/NumberField.vue'
import { field } from '@/ui/recipes'
import { uploadCaptions } from './useUpload'
import { t } from './words'

const props = defineProps<{ media: Media; name: string; active: boolean; compact?: boolean }>()
const emit = defineEmits<{ update: [media: Media | null] }>()

const error = ref('')
const input = ref<HTMLInputElement>()
const timed = computed(() => (props.media.type === 'picture' ? null : (props.media as Recording | Film)))
const isVideo = computed(() => props.media.type === 'video')
const type = computed(() => props.media.type ?? 'picture')
const whatItShows = computed(() =>
  isVideo.value
    ? t('what_the_video_shows', { name: props.name })
    : t('what_the_picture_shows', { name: props.name }),
)

/** In the editor what a sound says stands in its field, not behind a button. */
const seen = computed(() =>
  props.media.type === 'sound' ? ({ ...props.media, transcript: '' } as Media) : props.media,
)

const set = (change: object): void => emit('update', { ...props.media, ...change } as Media)
const text = (event: Event): string => (event.target as HTMLInputElement).value
const small = `${field} px-2! py-1! text-sm`

async function addCaptions(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  try {
    error.value = ''
    set({ captions: await uploadCaptions(file) })
  } catch (failure) {
    error.value = sentenceOf(failure)
  }
}
</script>

<template>
  <div class="text-sm" :class="compact ? 'flex items-start gap-2' : 'space-y-1.5'">
    <MediaView :media="seen" :small="compact" :class="compact && 'max-w-28'" />
    <div class="min-w-0 grow space-y-1.5">
      <p v-if="'credit' in media && media.credit" class="text-slate">{{ media.credit }}</p>
      <input
        v-if="media.type !== 'sound'"
        :class="small"
        :value="'description' in media ? media.description : ''"
        :aria-label="whatItShows"
        :placeholder="isVideo ? t('describe_the_video') : t('describe_the_picture')"
        maxlength="500"
        @input="set({ description: text($event) })"
      />
      <textarea
        v-else
        rows="2"
        :class="small"
        :value="(media as Recording).transcript"
        :aria-label="t('what_the_sound_of_says', { name })"
        :placeholder="t('write_down_what_it_says')"
        maxlength="4000"
        @input="set({ transcript: text($event) })"
      />
      <div v-if="timed && active" class="flex flex-wrap items-center gap-2">
        <label
          >{{ t('from') }}
          <NumberField
            class="w-16!"
            :model-value="timed.start ?? 0"
            @update:model-value="set({ start: Math.max(0, $event ?? 0) })"
        /></label>
        <label
          >{{ t('to') }}
          <NumberField
            class="w-16!"
            :model-value="timed.end ?? null"
            @update:model-value="set({ end: $event })"
          />
          s</label
        >
      </div>
      <div v-if="active" class="flex flex-wrap gap-3 font-bold text-tide">
        <template v-if="isVideo">
          <input
            ref="input"
            type="file"
            accept=".vtt,text/vtt"
            class="hidden"
            :aria-label="t('captions_file')"
            @change="addCaptions"
          />
          <button type="button" class="min-h-7" @click="input?.click()">
            {{ (media as Film).captions ? t('other_captions') : t('add_captions') }}
          </button>
        </template>
        <button type="button" class="min-h-7" @click="emit('update', null)">{{ t(`remove_${type}`) }}</button>
      </div>
      <p v-if="error" role="alert" class="text-wrong">{{ error }}</p>
    </div>
  </div>
</template>
