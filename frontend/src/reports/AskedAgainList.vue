<script setup lang="ts">
/** Questions that were asked more than once, by those who had them the first and the last time. */
import type { ClassResults } from '@/api/types'
import { percent } from '@/composables/format'
import LineText from '@/questions/shared/LineText.vue'
import ShareCell from './ShareCell.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

type Again = ClassResults['results']['asked_again'][number]

defineProps<{ again: readonly Again[] }>()

function compared(one: Again): string {
  if (one.before === null || one.after === null) return t('nobody_had_it_both_times')
  return t('students_had_it_both_times_right', {
    n: one.both,
    first: percent(one.before),
    last: percent(one.after),
  })
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4.5 py-3.5" aria-labelledby="again">
    <h2 id="again" class="text-lg">{{ t('asked_more_than_once') }}</h2>
    <p v-if="!again.length" class="text-[15px] text-slate">
      {{ t('nothing_yet_run_a_set_again') }}
    </p>
    <ul v-else>
      <li
        v-for="one in again"
        :key="one.item"
        class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2"
      >
        <span class="min-w-0 grow basis-80">
          <LineText class="block wrap-anywhere" :text="one.title || common('asked_aloud')" />
          <span class="block text-[15px] text-slate">{{ compared(one) }}</span>
        </span>
        <span class="flex gap-0.5"
          ><ShareCell v-for="point in one.points" :key="point.session" :share="point.share"
        /></span>
      </li>
    </ul>
  </section>
</template>
