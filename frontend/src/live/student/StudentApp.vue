<script setup lang="ts">
import { defineAsyncComponent, shallowRef } from 'vue'
import type { Refusal } from '@/api/refusal'
import type { Joined } from '@/api/types'
import JoinView from './JoinView.vue'
import LiveSeat from './LiveSeat.vue'
import { forgetSeat, keepSeat, keptSeat } from './seat'

const ConfirmView = defineAsyncComponent(() => import('./ConfirmView.vue'))
const ClassView = defineAsyncComponent(() => import('./ClassView.vue'))
const codeInAddress = (): string => decodeURIComponent(location.pathname.split('/')[2] ?? '').toUpperCase()
const path = location.pathname.split('/')
/** A class's link has a page of its own. */
const classLink = path[1] === 'class' ? (path[2] ?? '') : ''
const confirmToken = path[1] === 'confirm' ? decodeURIComponent(path.slice(2).join('/')) : ''
/** A slip's QR picture brings the phrase along, where no server sees it. */
const phrase = decodeURIComponent(location.hash.slice(1)).replace(/-/g, ' ')
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
  <ConfirmView v-if="confirmToken" :token="confirmToken" />
  <ClassView v-else-if="classLink" :link="classLink" />
  <LiveSeat v-else-if="seat" :key="seat.token" :seat="seat" @leave="leave" />
  <JoinView v-else :code="codeInAddress()" :phrase="phrase" :notice="notice" @joined="enter" />
</template>
