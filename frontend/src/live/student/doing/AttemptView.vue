<script setup lang="ts">
/** An attempt: the paper as in a session at own pace, and the way back to one's page. */
import { computed, watch } from 'vue'
import type { Refusal } from '@/api/refusal'
import type { AttemptMessage, Kind, Mine } from '@/api/types'
import { registry } from '@/questions/registry'
import PhoneFrame from '../PhoneFrame.vue'
import PaperView from '../seated/own/PaperView.vue'
import { useAttempt } from './useAttempt'
import { mediaIn } from './media'
import { keepLoaded } from './worker'
import { t } from './words'

const props = defineProps<{
  token: string
  begun: AttemptMessage
  name: string
  number: number
  title: string
}>()
const emit = defineEmits<{ over: [handedIn: boolean, mine?: Mine]; gone: [why: Refusal] }>()
const { link, handsIn, waiting, isOver } = useAttempt(props.token, props.begun.attempt, props.begun)
const isOffline = computed(() => link.status.value === 'offline')

watch(isOver, (now) => now && emit('over', true, link.mine.value ?? undefined), { immediate: true })
watch(link.gone, (why) => why && emit('gone', why))

/** All of it is fetched before the network may go. */
async function fetchAll(): Promise<void> {
  const kinds = new Set(props.begun.questions.map((one) => one.shown.item.kind as Kind))
  await Promise.all([...kinds].map((kind) => registry[kind].player()))
  if ('serviceWorker' in navigator) await keepLoaded(mediaIn(props.begun.questions))
}
void fetchAll().catch(() => {})
</script>

<template>
  <PhoneFrame v-if="isOver" :left="name">
    <p class="pt-10 text-lg text-slate" role="status">{{ t('opening') }}</p>
  </PhoneFrame>
  <PaperView v-else :link="link" :name="name" :seat="number" :token="token">
    <template #head>
      <div class="mb-3 flex items-center justify-between gap-3">
        <button type="button" class="min-h-11 shrink-0 font-bold text-tide" @click="emit('over', false)">
          {{ t('to_page') }}
        </button>
        <span class="truncate text-slate" dir="auto">{{ title }}</span>
      </div>
      <p v-if="handsIn && isOffline" role="status" class="mb-3 border-s-4 border-lamp bg-sheet px-3 py-2">
        {{ t('hands_in_later') }}
      </p>
      <p
        v-else-if="isOffline && waiting"
        role="status"
        class="mb-3 border-s-4 border-lamp bg-sheet px-3 py-2"
      >
        {{ t('kept_here', { n: waiting }) }}
      </p>
    </template>
  </PaperView>
</template>
