<script setup lang="ts">
import { shallowRef } from 'vue'
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

function leave(why = ''): void {
  forgetSeat()
  notice.value = why
  seat.value = null
}
</script>

<template>
  <LiveSeat v-if="seat" :key="seat.token" :seat="seat" @leave="leave" />
  <JoinView v-else :code="codeInAddress()" :notice="notice" @joined="enter" />
</template>
