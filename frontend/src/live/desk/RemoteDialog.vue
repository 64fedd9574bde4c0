<script setup lang="ts">
/** A phone becomes the remote of this session: by a picture that one phone may use, within a few minutes. */
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { RemoteOffer } from '@/api/types'
import { counted } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'

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
  <UiDialog :open="open" title="Your phone as a remote" @close="emit('close')">
    <p>
      Scan this with your phone: it leads this session from then on, beside the desk. One phone can use it,
      within
      {{ Math.round((offer?.seconds ?? 300) / 60) }} minutes. Do not show it on the projector.
    </p>
    <div class="my-4 flex min-h-56 items-center justify-center">
      <p v-if="isUsed" role="status" class="text-xl font-bold">Your phone is connected.</p>
      <img v-else-if="offer" :src="picture" alt="QR picture for your phone" class="size-56" />
      <p v-else-if="!failure" role="status" class="text-slate">One moment…</p>
    </div>
    <p v-if="failure" role="alert" class="mb-3 text-wrong">{{ failure }}</p>
    <p v-if="connected" class="mb-3 text-[15px] text-slate">
      {{ counted(connected, 'phone leads', 'phones lead') }} this session. It ends with your signing out, too.
    </p>
    <div class="flex flex-wrap gap-3">
      <UiButton look="main" @click="emit('close')">Good</UiButton>
      <UiButton v-if="isUsed" @click="make">Another phone</UiButton>
      <UiButton v-if="connected" @click="cutOff">Cut {{ connected === 1 ? 'it' : 'them' }} off</UiButton>
    </div>
  </UiDialog>
</template>
