<script setup lang="ts">
import { defineAsyncComponent, h, shallowRef, watchEffect } from 'vue'
import type { Refusal } from '@/api/refusal'
import type { Joined } from '@/api/types'
import JoinView from './JoinView.vue'
import PhoneFrame from './PhoneFrame.vue'
import { forgetSeat, keepSeat, keptSeat } from './seat'
import { needLanguage, offer } from './ownLanguage'
import { told } from './told'
import { t } from './words'

const path = location.pathname.split('/')
const ConfirmView = defineAsyncComponent(() => import('./ConfirmView.vue'))
/** Fetched while somebody types their name: who scans a code waits for what asks first. */
const liveSeat = (): Promise<typeof import('./seated/LiveSeat.vue')> => import('./seated/LiveSeat.vue')
const GoingIn = () =>
  h(PhoneFrame, { left: 'Tall Lantern' }, () =>
    h('p', { class: 'pt-10 text-lg text-slate', role: 'status' }, t('going_in')),
  )
const LiveSeat = defineAsyncComponent({
  loader: liveSeat,
  loadingComponent: GoingIn,
  onError: (_error, retry, _fail, attempts) => setTimeout(retry, Math.min(5000, 500 * attempts)),
})
if (path[1] !== 'w') void liveSeat().catch(() => {})
const WorkView = defineAsyncComponent(() => import('./doing/WorkView.vue'))
const ClassView = defineAsyncComponent(() => import('./ClassView.vue'))
const codeInAddress = (): string => decodeURIComponent(location.pathname.split('/')[2] ?? '').toUpperCase()
/** A class's link has a page of its own. */
const classLink = path[1] === 'class' ? (path[2] ?? '') : ''
const workLink = path[1] === 'w' ? decodeURIComponent(path[2] ?? '') : ''
const confirmToken = path[1] === 'confirm' ? decodeURIComponent(path.slice(2).join('/')) : ''
/** A slip's QR picture brings the phrase along, where no server sees it. */
const phrase = decodeURIComponent(location.hash.slice(1)).replace(/-/g, ' ')
const seat = shallowRef<Joined | null>(workLink ? null : keptSeat(codeInAddress()))
if (seat.value) offer(seat.value.languages)
const notice = shallowRef('')

watchEffect(() => (document.title = `${t('join')} · Tall Lantern`))

function enter(joined: Joined): void {
  keepSeat(joined)
  notice.value = ''
  seat.value = joined
  offer(joined.languages)
  history.replaceState(null, '', `/join/${joined.code}`)
}

/** Who was taken out is known by the same key when the teacher lets them in again. */
function leave(why?: Refusal): void {
  forgetSeat(why?.code === 'taken_out')
  needLanguage('')
  notice.value = why ? told(why) : ''
  seat.value = null
}
</script>

<template>
  <ConfirmView v-if="confirmToken" :token="confirmToken" />
  <ClassView v-else-if="classLink" :link="classLink" />
  <WorkView v-else-if="workLink" :link="workLink" />
  <LiveSeat v-else-if="seat" :key="seat.token" :seat="seat" @leave="leave" />
  <JoinView v-else :code="codeInAddress()" :phrase="phrase" :notice="notice" @joined="enter" />
</template>
