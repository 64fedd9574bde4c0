<script setup lang="ts">
/** Questions that were asked more than once, by those who had them the first and the last time. */
import type { ClassResults } from '@/api/types'
import { counted, percent } from '@/composables/format'
import LineText from '@/questions/shared/LineText.vue'
import ShareCell from './ShareCell.vue'

type Again = ClassResults['results']['asked_again'][number]

defineProps<{ again: readonly Again[] }>()

function compared(one: Again): string {
  if (one.before === null || one.after === null) return 'Nobody had it both times.'
  return `${counted(one.both, 'student')} had it both times: ${percent(one.before)} right the first time, ${percent(one.after)} the last.`
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4.5 py-3.5" aria-labelledby="again">
    <h2 id="again" class="text-lg">Asked more than once</h2>
    <p v-if="!again.length" class="text-[15px] text-slate">
      Nothing yet. Run a set again, or make one of what was hardest: then both times stand here side by side.
    </p>
    <ul v-else>
      <li
        v-for="one in again"
        :key="one.item"
        class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2"
      >
        <span class="min-w-0 grow basis-80">
          <LineText class="block wrap-anywhere" :text="one.title" />
          <span class="block text-[15px] text-slate">{{ compared(one) }}</span>
        </span>
        <span class="flex gap-0.5"
          ><ShareCell v-for="point in one.points" :key="point.session" :share="point.share"
        /></span>
      </li>
    </ul>
  </section>
</template>
