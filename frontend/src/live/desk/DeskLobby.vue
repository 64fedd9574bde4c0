<script setup lang="ts">
/** Before the first question: how to join, and what to do next. */
import { onMounted, ref } from 'vue'
import { api, data } from '@/api/http'
import type { DeskView, SessionInfo } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import CopyButton from '@/ui/CopyButton.vue'

const props = defineProps<{ view: DeskView; session: number }>()
const info = ref<SessionInfo | null>(null)

onMounted(async () => {
  const params = { path: { session_id: props.session } }
  info.value = await data(api.GET('/api/live/sessions/{session_id}', { params })).catch(() => null)
})
</script>

<template>
  <h1 class="mb-4 text-3xl">
    {{ view.stopped === 'today' ? 'Closed for today' : view.stopped ? 'Paused' : 'The doors are open' }}
  </h1>
  <ol class="list-decimal space-y-2 pl-5 text-lg">
    <li>Open the big screen and move that window to the projector. It shows the code and a QR picture.</li>
    <li>
      Students go to <b class="wrap-anywhere">{{ info?.join_url.replace(/\/[^/]+$/, '') ?? '/join' }}</b> and
      type <b>{{ spacedCode(view.code) }}</b>{{
        info?.class_name ? `, or the standing code of ${info.class_name}` : ''
      }}.
    </li>
    <li v-if="view.next === 'ask_now'">
      Nothing is prepared: press <b>Ask now</b> below, or Space, and choose what you ask. Each question is
      kept.
    </li>
    <li v-else-if="view.settings.manner === 'led'">
      When your class is here, press <b>Start</b> below, or Space.
    </li>
    <li v-else>
      Press <b>Start</b> below, or Space: from then on each can begin on the own device, also who comes later.
    </li>
  </ol>
  <p v-if="info" class="mt-5 text-[15px] text-slate">
    For a message or a chat: <a :href="info.join_url" class="text-tide underline">{{ info.join_url }}</a>
    <CopyButton :text="info.join_url" class="ml-2" />
  </p>
</template>
