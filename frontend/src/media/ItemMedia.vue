<script setup lang="ts">
/** An item's picture, sound and video, and the fog over its picture. */
import { computed, ref } from 'vue'
import type { Item, Media } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import MediaDialog from './MediaDialog.vue'
import MediaFields from './MediaFields.vue'
import { t } from './words'

const props = defineProps<{ item: Item; name: string; active: boolean }>()
const emit = defineEmits<{ update: [item: Item] }>()

const TYPES = ['picture', 'sound', 'video'] as const
const FOGS = [
  { value: 'none', label: t('no_fog') },
  { value: 'light', label: t('light_fog') },
  { value: 'medium', label: t('medium_fog') },
  { value: 'dense', label: t('dense_fog') },
] as const
const choosing = ref(false)

const present = computed(() => TYPES.filter((type) => props.item[type]))
const missing = computed(() => TYPES.filter((type) => !props.item[type]))
const set = (type: (typeof TYPES)[number], media: Media | null): void =>
  emit('update', { ...props.item, [type]: media } as Item)

function take(media: Media): void {
  choosing.value = false
  set(media.type ?? 'picture', media)
}
</script>

<template>
  <div v-if="present.length || active" class="shrink-0 space-y-3" :class="present.length ? 'w-52' : ''">
    <div v-for="type in present" :key="type">
      <MediaFields :media="item[type]! as Media" :name="name" :active="active" @update="set(type, $event)" />
      <ChipMenu
        v-if="type === 'picture'"
        class="mt-1"
        :label="t('fog_over_the_picture')"
        :choices="FOGS"
        :value="item.fog ?? 'none'"
        @choose="emit('update', { ...item, fog: $event } as Item)"
      />
    </div>
    <button
      v-if="active && missing.length"
      type="button"
      class="rounded border border-dashed border-edge px-3 py-2 text-[15px] font-bold text-tide hover:bg-tide-wash"
      @click="choosing = true"
    >
      {{ t('picture_sound_video') }}
    </button>
    <MediaDialog
      v-if="choosing"
      :accepts="missing"
      :language="item.language"
      @pick="take"
      @close="choosing = false"
    />
  </div>
</template>
