<script setup lang="ts">
/** Both votes side by side: the results, the shares right, what could be gained and was, and who went from what to what. */
import { computed } from 'vue'
import type { Shown } from '@/api/types'
import { percent } from '@/composables/format'
import AsyncView from '@/questions/shared/AsyncView.vue'
import { t } from './words'

const props = defineProps<{ shown: Shown }>()
const votes = computed(() => props.shown.votes!)
const most = computed(() => Math.max(1, ...votes.value.flows.map((flow) => flow.count)))
const shares = computed(() => {
  const { share_before: before, share_after: after, gain } = votes.value
  if (before === null || after === null) return ''
  return [
    t('right_before_after', { before: percent(before), after: percent(after) }),
    gain === null ? '' : t('gained', { share: percent(gain) }),
  ]
    .filter(Boolean)
    .join(' ')
})
</script>

<template>
  <div>
    <div class="grid gap-x-[1.5em] gap-y-3 sm:grid-cols-2">
      <section :aria-label="t('first_vote')">
        <p class="mb-[0.3em] text-[max(15px,0.7em)] opacity-80">{{ t('first_vote') }}</p>
        <AsyncView
          :kind="shown.item.kind"
          part="result"
          :item="shown.item"
          :tally="shown.before ?? null"
          :form="shown.form"
          :answer-key="shown.key ?? null"
        />
      </section>
      <section :aria-label="t('second_vote')">
        <p class="mb-[0.3em] text-[max(15px,0.7em)] opacity-80">{{ t('second_vote') }}</p>
        <AsyncView
          :kind="shown.item.kind"
          part="result"
          :item="shown.item"
          :tally="shown.tally ?? null"
          :form="shown.form"
          :answer-key="shown.key ?? null"
        />
      </section>
    </div>
    <p class="mt-[0.8em] text-[max(16px,0.8em)]">
      {{ shares }} {{ t('changed', { changed: votes.changed, n: votes.both }) }}
    </p>
    <ul v-if="votes.flows.length" class="mt-[0.5em] max-w-[26em] space-y-1 text-[max(16px,0.8em)]">
      <li v-for="flow in votes.flows" :key="flow.before + flow.after" class="flex items-center gap-2">
        <span class="w-[7em] shrink-0 truncate" dir="auto"
          >{{ flow.before }} <span aria-hidden="true" class="inline-block rtl:-scale-x-100">→</span
          ><span class="sr-only">{{ t('to') }}</span> {{ flow.after }}</span
        >
        <span class="h-[0.7em] grow" aria-hidden="true"
          ><span
            class="block h-full bg-current opacity-50"
            :style="{ width: `${(flow.count / most) * 100}%` }"
        /></span>
        <span class="figure w-[2em] text-end">{{ flow.count }}</span>
      </li>
    </ul>
  </div>
</template>
