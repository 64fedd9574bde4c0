<script setup lang="ts">
import { shallowRef } from 'vue'
import type { Refusal } from '@/api/refusal'
import type { Joined } from '@/api/types'
import JoinView from './JoinView.vue'
import LiveSeat from './LiveSeat.vue'
import { forgetSeat, keepSeat, keptSeat } from './seat'

const codeInAddress = (): string => decodeURIComponent(location.pathname.split('/')[2] ?? '').toUpperCase()
const seat = shallowRef<Joined | null>(keptSeat(codeInAddress()))
const notice = shallowRef('')

function enter(joined: Joined): void {
  keepSeat(joined)
  notice.value = ''
  seat.value = joined
  history.replaceState(null, '', `/join/${joined.code}`)
}

/** Who was taken out is known by the same key when the teacher lets them in again. */
function leave(why?: Refusal): void {
  forgetSeat(why?.code === 'taken_out')
  notice.value = why?.sentence ?? ''
  seat.value = null
}
</script>

<template>
  <LiveSeat v-if="seat" :key="seat.token" :seat="seat" @leave="leave" />
  <JoinView v-else :code="codeInAddress()" :notice="notice" @joined="enter" />
</template>
