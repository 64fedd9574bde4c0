<script setup lang="ts">
/** The big screen: what the whole room looks at. */
import { useEventListener, useTitle } from '@vueuse/core'
import { computed, onMounted, ref, watchEffect } from 'vue'
import { api, data } from '@/api/http'
import { openLine } from '@/api/live'
import type { Phase, ScreenMessage, SessionInfo } from '@/api/types'
import { useTimeLeft } from '@/composables/useTimeLeft'
import type { BoardMoment } from '@/games/gameViews'
import LanternClock from '@/ui/LanternClock.vue'
import { nextLook, useLook, useSoundOn, useVolume } from './bigScreen'
import ScreenCoast from './ScreenCoast.vue'
import ScreenEnd from './ScreenEnd.vue'
import ScreenFoot from './ScreenFoot.vue'
import ScreenGame from './ScreenGame.vue'
import ScreenLobby from './ScreenLobby.vue'
import ScreenQuestion from './ScreenQuestion.vue'
import ScreenStandings from './ScreenStandings.vue'
import ScreenStopped from './ScreenStopped.vue'
import ScreenWork from './ScreenWork.vue'
import { useSounds } from './useSounds'
import { told } from '../student/told'
import { t } from './words'

const props = defineProps<{ session: number }>()
const line = openLine<ScreenMessage>({
  socket: `/live/screen/${props.session}`,
  poll: `/api/live/sessions/${props.session}/screen`,
})
const view = computed(() => (line.gone.value ? null : (line.message.value?.view ?? null)))
const time = useTimeLeft(() => {
  const papers = view.value?.papers
  return papers ? { opened_at: papers.since, deadline: papers.deadline } : view.value?.shown
}, line.offset)
const info = ref<SessionInfo | null>(null)
const look = useLook()
const soundOn = useSoundOn()
const volume = useVolume()
const sounds = useSounds(
  () => view.value,
  () => time.seconds.value,
  soundOn,
  volume,
)

useTitle(computed(() => t('page_title', { title: view.value?.title ?? t('big_screen') })))

/** What does not fit, as in a small or much enlarged window, stands on the same ground. */
watchEffect(() => (document.body.className = `${look.value} bg-ground`))

/** When the board of a game is what is looked at. */
const MOMENTS: Partial<Record<Phase, BoardMoment>> = {
  working: 'during',
  standings: 'between',
  ended: 'after',
}
const moment = computed(() => {
  const { board, phase, lights } = view.value ?? {}
  return board && !(phase === 'ended' && lights?.length) ? (MOMENTS[phase!] ?? null) : null
})

const isAsked = computed(() => !!view.value?.shown?.number)
const lit = computed(
  () => !view.value?.stopped && ['open', 'lobby', 'working', 'talk'].includes(view.value?.phase ?? ''),
)
const count = computed(() => {
  if (!view.value) return ''
  if (view.value.papers) return `${view.value.papers.handed_in}/${view.value.people}`
  return isAsked.value ? `${view.value.answered}/${view.value.people}` : String(view.value.people)
})

function fullScreen(): void {
  if (document.fullscreenElement) void document.exitFullscreen()
  else void document.documentElement.requestFullscreen()
}

const KEYS: Record<string, () => void> = {
  f: fullScreen,
  s: () => (soundOn.value = !soundOn.value),
  t: () => (look.value = nextLook(look.value)),
}
useEventListener(document, 'pointerdown', () => sounds.wake())
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  sounds.wake()
  if (event.ctrlKey || event.metaKey || event.altKey) return
  KEYS[event.key.toLowerCase()]?.()
})

onMounted(async () => {
  const params = { path: { session_id: props.session } }
  info.value = await data(api.GET('/api/live/sessions/{session_id}', { params })).catch(() => null)
})
</script>

<template>
  <main
    :class="look"
    class="on-look group isolate grid min-h-screen grid-cols-[clamp(5rem,11.7vw,28rem)_1fr] bg-ground text-[clamp(18px,min(2.1vw,3.6vh),96px)] text-front"
  >
    <ScreenCoast :look="look" />
    <div class="sticky top-0 flex h-screen items-center justify-center border-e border-line py-[4vh]">
      <LanternClock :share="time.share.value" :lit="lit" :count="count" class="h-[90vh] max-w-full" />
    </div>
    <div
      class="grid grid-rows-[minmax(0,1fr)_auto] px-[3.75vw] pt-[4.5vh] pb-[3vh]"
      :class="view?.phase === 'lobby' ? 'min-h-screen' : 'h-screen'"
    >
      <p v-if="line.gone.value" role="alert" class="text-[1.6em]">{{ told(line.gone.value) }}</p>
      <p v-else-if="!view" role="status" class="text-soft">{{ t('connecting') }}</p>
      <ScreenStopped v-else-if="view.stopped" :title="view.title" :for-today="view.stopped === 'today'" />
      <ScreenGame
        v-else-if="moment"
        :view="view"
        :at="moment"
        :seconds="view.papers ? time.seconds.value : null"
      />
      <ScreenWork v-else-if="view.papers" :view="view" :seconds="time.seconds.value" />
      <ScreenLobby v-else-if="view.phase === 'lobby'" :view="view" :info="info" :session="session" />
      <ScreenStandings v-else-if="view.phase === 'standings'" :view="view" />
      <ScreenEnd v-else-if="view.phase === 'ended'" :view="view" />
      <ScreenQuestion
        v-else
        :view="view"
        :now="time.now.value"
        :passed="time.passed.value"
        :info="info"
        :session="session"
      />
      <ScreenFoot
        v-if="view"
        :view="view"
        :info="info"
        v-model:look="look"
        v-model:sound="soundOn"
        v-model:volume="volume"
        :sound-waits="sounds.waits.value"
        :offline="line.status.value === 'offline'"
        @full="fullScreen"
      />
    </div>
  </main>
</template>
