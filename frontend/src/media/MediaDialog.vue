<script setup lang="ts">
/** Where a picture, sound or video comes from: this device, the collection, the microphone, a voice, the shelf. */
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { computed, ref } from 'vue'
import type { Media } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import CollectionTab from './CollectionTab.vue'
import RecordTab from './RecordTab.vue'
import ShelfTab from './ShelfTab.vue'
import SpeakTab from './SpeakTab.vue'
import { useUpload } from './useUpload'
import { t } from './words'
import { t as common } from '@/ui/words'

type MediaType = 'picture' | 'sound' | 'video'
const props = defineProps<{ accepts: readonly MediaType[]; language?: string }>()
const emit = defineEmits<{ pick: [media: Media]; close: [] }>()

const FILES: Record<MediaType, string> = {
  picture: 'image/*',
  sound: 'audio/*',
  video: 'video/mp4,video/webm',
}
const input = ref<HTMLInputElement>()
const { busy, error, attempt, upload } = useUpload((media) => emit('pick', media))

const tabs = computed(() =>
  [
    { name: 'device', label: t('this_device'), shown: true },
    { name: 'collection', label: t('picture_collection'), shown: props.accepts.includes('picture') },
    { name: 'record', label: t('record'), shown: props.accepts.includes('sound') },
    { name: 'speak', label: t('spoken_text'), shown: props.accepts.includes('sound') },
    { name: 'shelf', label: t('shelf'), shown: true },
  ].filter((tab) => tab.shown),
)
const fileTypes = computed(() => props.accepts.map((type) => FILES[type]).join(','))

function choose(event: Event): void {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) void upload(file)
}

const tab = (selected: boolean): string =>
  `min-h-10 border-b-3 px-3 font-bold ${selected ? 'border-ink text-ink' : 'border-transparent text-tide'}`
</script>

<template>
  <UiDialog
    open
    wide
    :title="accepts.length === 1 ? t(`add_${accepts[0]!}`) : t('add_a_picture_sound_or_video')"
    @close="emit('close')"
  >
    <TabGroup>
      <TabList class="mb-4 flex flex-wrap border-b border-rule">
        <Tab v-for="one in tabs" :key="one.name" v-slot="{ selected }" as="template"
          ><button type="button" :class="tab(selected)">{{ one.label }}</button></Tab
        >
      </TabList>
      <TabPanels>
        <TabPanel v-for="one in tabs" :key="one.name" tabindex="-1">
          <template v-if="one.name === 'device'">
            <input
              ref="input"
              type="file"
              :accept="fileTypes"
              class="sr-only"
              tabindex="-1"
              :aria-label="t('file')"
              @change="choose"
            />
            <UiButton look="main" :disabled="busy" @click="input?.click()">{{
              busy ? t('storing') : t('choose_a_file')
            }}</UiButton>
            <p class="mt-3 text-slate">
              {{ t('a_file_can_also_be_dropped') }}
            </p>
          </template>
          <CollectionTab v-else-if="one.name === 'collection'" :busy="busy" @keep="attempt" />
          <RecordTab v-else-if="one.name === 'record'" :busy="busy" @file="upload" />
          <SpeakTab v-else-if="one.name === 'speak'" :busy="busy" :language="language" @keep="attempt" />
          <ShelfTab v-else :accepts="accepts" @pick="emit('pick', $event)" />
        </TabPanel>
      </TabPanels>
    </TabGroup>
    <p v-if="error" role="alert" class="mt-3 text-wrong">{{ error }}</p>
    <div class="mt-5 flex justify-end">
      <UiButton @click="emit('close')">{{ common('cancel') }}</UiButton>
    </div>
  </UiDialog>
</template>
