<script setup lang="ts">
/** A place for one medium: empty it offers to add one, filled it shows it. */
import { ref } from 'vue'
import type { Media } from '@/api/types'
import MediaDialog from './MediaDialog.vue'
import MediaFields from './MediaFields.vue'
import { t } from './words'

defineProps<{
  media: Media | null
  name: string
  active: boolean
  language?: string
  quiet?: boolean
  onlyPicture?: boolean
}>()
const emit = defineEmits<{ update: [media: Media | null] }>()
const choosing = ref(false)

function take(media: Media): void {
  choosing.value = false
  emit('update', media)
}
</script>

<template>
  <div class="max-w-full min-w-0">
    <MediaFields
      v-if="media"
      :media="media"
      :name="name"
      compact
      :active="active"
      class="w-80 max-w-full"
      @update="emit('update', $event)"
    />
    <button
      v-else
      type="button"
      class="min-h-7 rounded px-1 text-sm font-bold text-tide"
      :class="
        quiet &&
        'mt-1 opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 focus-visible:opacity-100'
      "
      :aria-label="t('add_media_to', { name })"
      @click="choosing = true"
    >
      {{ t('media') }}
    </button>
    <MediaDialog
      v-if="choosing"
      :accepts="onlyPicture ? ['picture'] : ['picture', 'sound', 'video']"
      :language="language"
      @pick="take"
      @close="choosing = false"
    />
  </div>
</template>
