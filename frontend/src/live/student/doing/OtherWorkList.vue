<script setup lang="ts">
/** What else there is to do in the class. */
import type { OtherWork } from '@/api/types'
import { shortMoment } from './times'
import { t } from './words'

defineProps<{ others: readonly OtherWork[]; zone: string }>()

function state(one: OtherWork, zone: string): string {
  if (one.stage === 'handed_in') return t('is_handed_in')
  if (one.door === 'not_yet') return t('opens_at', { when: shortMoment(one.opens!, zone) })
  if (one.door === 'closed') return t('is_closed')
  if (!one.due) return t('is_open')
  return t(one.door === 'late' ? 'was_due_at' : 'due_at', { when: shortMoment(one.due, zone) })
}
</script>

<template>
  <section class="mt-8">
    <h2 class="text-xl">{{ t('more_work') }}</h2>
    <ul class="mt-2 divide-y divide-rule rounded border border-rule bg-sheet">
      <li v-for="one in others" :key="one.link">
        <a
          :href="`/w/${one.link}`"
          class="flex min-h-12 flex-wrap items-center justify-between gap-x-4 px-3 py-2"
        >
          <b class="text-tide wrap-anywhere" dir="auto">{{ one.title || t('not_yet') }}</b>
          <span class="text-[15px] text-slate">{{ state(one, zone) }}</span>
        </a>
      </li>
    </ul>
  </section>
</template>
