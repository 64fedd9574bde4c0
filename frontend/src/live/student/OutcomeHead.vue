<script setup lang="ts">
/** Right, part right or not, with what was gained: light and words. */
import { computed } from 'vue'
import { fraction, ordinal } from '@/composables/format'
import type { Mine } from '@/api/types'

const props = defineProps<{ mine: Mine | null; ask: string | null }>()

const own = computed(() => (props.mine?.ask === props.ask ? props.mine : null))
const words = computed(() => {
  const mark = own.value?.mark
  if (mark === null || mark === undefined) return own.value?.answer ? 'Not marked yet' : 'No answer this time'
  if (mark >= 1) return 'Right'
  return mark > 0 ? `Part right: ${fraction(mark)}` : 'Not this time'
})
const gained = computed(() => {
  const { gained: points, bonus, points: total } = own.value ?? {}
  if (!points || total === null || total === undefined) return ''
  return bonus ? `+ ${points - bonus}, and ${bonus} for answering early` : `+ ${points}`
})
const place = computed(() => {
  const { points, place: at, people } = own.value ?? {}
  return at && points !== null && points !== undefined
    ? `You have ${points} points. ${ordinal(at)} of ${people}.`
    : ''
})
</script>

<template>
  <div
    class="mb-4 border-l-6 pl-3"
    :class="(own?.mark ?? 0) > 0 ? 'border-lamp' : 'border-edge'"
    role="status"
  >
    <p class="figure text-3xl">{{ words }}</p>
    <p class="text-slate">{{ gained }}</p>
    <p class="text-slate">{{ place }}</p>
    <ul v-if="own?.forgiven.length" class="mt-1">
      <li v-for="remark in own.forgiven" :key="remark.part + remark.given" dir="auto">
        <span v-if="remark.part">{{ remark.part }}: </span>{{ remark.sentence }}
      </li>
    </ul>
  </div>
</template>
