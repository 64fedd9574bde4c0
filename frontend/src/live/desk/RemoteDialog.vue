<script setup lang="ts">
/** A phone becomes the remote of this session: by a picture that one phone may use, within a few minutes. */
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { RemoteOffer } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { t } from './words'

const props = defineProps<{ open: boolean; session: number }>()
const emit = defineEmits<{ close: [] }>()
const params = { path: { session_id: props.session } }
const offer = ref<RemoteOffer | null>(null)
const connected = ref(0)
const before = ref(0)
const failure = ref('')
const isUsed = computed(() => connected.value > before.value)

async function attempt(work: () => Promise<void>): Promise<void> {
  failure.value = ''
  try {
    await work()
  } catch (error) {
    failure.value = sentenceOf(error)
  }
}
const count = async (): Promise<void> => {
  connected.value = (await data(api.GET('/api/live/sessions/{session_id}/remotes', { params }))).connected
}
const make = (): Promise<void> =>
  attempt(async () => {
    await count()
    before.value = connected.value
    offer.value = await data(api.POST('/api/live/sessions/{session_id}/remotes', { params }))
  })
const cutOff = (): Promise<void> =>
  attempt(async () => {
    await data(api.DELETE('/api/live/sessions/{session_id}/remotes', { params }))
    await make()
  })
const looking = useIntervalFn(() => void count().catch(() => {}), 1500, { immediate: false })

watch(
  () => props.open,
  (isOpen) => {
    if (!isOpen) return looking.pause()
    offer.value = null
    void make()
    looking.resume()
  },
)
const picture = computed(() => `data:image/svg+xml;utf8,${encodeURIComponent(offer.value?.picture ?? '')}`)
</script>

<template>
  <UiDialog :open="open" :title="t('your_phone_as_a_remote_2')" @close="emit('close')">
    <p>
      {{ t('scan_this_with_your_phone', { minutes: Math.round((offer?.seconds ?? 300) / 60) }) }}
    </p>
    <div class="my-4 flex min-h-56 items-center justify-center">
      <p v-if="isUsed" role="status" class="text-xl font-bold">{{ t('your_phone_is_connected') }}</p>
      <img v-else-if="offer" :src="picture" :alt="t('qr_picture_for_your_phone')" class="size-56" />
      <p v-else-if="!failure" role="status" class="text-slate">{{ t('one_moment') }}</p>
    </div>
    <p v-if="failure" role="alert" class="mb-3 text-wrong">{{ failure }}</p>
    <p v-if="connected" class="mb-3 text-[15px] text-slate">
      {{ t('phones_lead_this_session_it_ends', { n: connected }) }}
    </p>
    <div class="flex flex-wrap gap-3">
      <UiButton look="main" @click="emit('close')">{{ t('good') }}</UiButton>
      <UiButton v-if="isUsed" @click="make">{{ t('another_phone') }}</UiButton>
      <UiButton v-if="connected" @click="cutOff">{{ t('cut_them_off', { n: connected }) }}</UiButton>
    </div>
  </UiDialog>
</template>
