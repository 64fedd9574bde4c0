<script setup lang="ts">
/** Right, part right or not, with what was gained: light and words. */
import { computed } from 'vue'
import { fraction } from '@/composables/format'
import type { Mine, Remark } from '@/api/types'
import { listed } from '@/words'
import { t } from './words'

const props = defineProps<{ mine: Mine | null; ask: string | null }>()

/** A fraction where one is near, else a percentage. */
function shareOf(mark: number): string {
  const near = fraction(mark)
  return /\d/.test(near) ? `${near} %` : near
}
const own = computed(() => (props.mine?.ask === props.ask ? props.mine : null))
const words = computed(() => {
  const mark = own.value?.mark
  if (mark === null || mark === undefined) return t(own.value?.answer ? 'not_marked' : 'no_answer')
  if (mark >= 1) return t('right')
  return mark > 0 ? t('part_right', { mark: shareOf(mark) }) : t('not_this_time')
})
const gained = computed(() => {
  const { gained: all, bonus: early, for_run: run } = own.value ?? {}
  if (!all) return ''
  const points = all - (early ?? 0) - (run ?? 0)
  if (early && run) return t('gained_both', { points, early, run })
  if (run) return t('gained_run', { points, bonus: run })
  return early ? t('gained_early', { points, bonus: early }) : `\u200e+ ${points}`
})
const place = computed(() => {
  const { points, place: at, people } = own.value ?? {}
  // Where there is a board, it says what one has.
  return at && points !== null && points !== undefined && !own.value?.board
    ? t('points_and_place', { n: points, place: at, people: people ?? 0 })
    : ''
})

function pardoned({ given, meant, forgave }: Remark): string {
  return t('forgiven', {
    given,
    meant: meant ?? '',
    what: listed((forgave ?? []).map((what) => t(`forgiven_${what}`))),
  })
}
</script>

<template>
  <div
    class="mb-4 border-s-6 ps-3"
    :class="(own?.mark ?? 0) > 0 ? 'border-lamp' : 'border-edge'"
    role="status"
  >
    <p class="figure text-3xl">{{ words }}</p>
    <p class="text-slate">{{ gained }}</p>
    <p class="text-slate">{{ place }}</p>
    <ul v-if="own?.forgiven.length" class="mt-1">
      <li v-for="remark in own.forgiven" :key="remark.part + remark.given">
        {{ pardoned(remark) }}
      </li>
    </ul>
  </div>
</template>
