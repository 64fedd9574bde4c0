<script setup lang="ts">
/** A seat in a running session. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import type { Refusal } from '@/api/refusal'
import type { Joined } from '@/api/types'
import { need } from '../look'
import { needLanguage } from '../ownLanguage'
import { providePractise } from './practise'
import SeatView from './SeatView.vue'
import { useHeard } from './useHeard'
import { useSeat } from './useSeat'

const PaperView = defineAsyncComponent({
  loader: () => import('./own/PaperView.vue'),
  onError: (_error, retry, _fail, attempts) => setTimeout(retry, Math.min(5000, 500 * attempts)),
})
const MissedRound = defineAsyncComponent(() => import('./MissedRound.vue'))
const props = defineProps<{ seat: Joined }>()
const emit = defineEmits<{ leave: [why?: Refusal] }>()
const link = useSeat(props.seat)
useHeard(link.view, link.mine)
const practises = ref(false)
providePractise(() => (practises.value = true))
const works = computed(() => link.view.value?.phase === 'working')

watch(
  () => link.mine.value?.needs,
  (needs) => {
    need(needs)
    needLanguage(needs?.language)
  },
  { immediate: true },
)
watch(link.gone, (why) => why && emit('leave', why))
</script>

<template>
  <MissedRound
    v-if="practises"
    :token="seat.token"
    :name="seat.name"
    :seat="seat.seat"
    @over="practises = false"
  />
  <PaperView v-else-if="works" :link="link" :name="seat.name" :seat="seat.seat" :token="seat.token" />
  <SeatView
    v-else
    :link="link"
    :name="seat.name"
    :seat="seat.seat"
    :token="seat.token"
    @leave="emit('leave', $event)"
  />
</template>
