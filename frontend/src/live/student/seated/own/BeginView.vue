<script setup lang="ts">
/** Before one begins: how much it is, and what becomes of answers. */
import { computed } from 'vue'
import type { Mine, Work } from '@/api/types'
import { localeOf } from '@/words'
import { t } from './words'

const props = defineProps<{ title: string; work: Work; mine: Mine | null }>()

const facts = computed(() => {
  const { work, mine } = props
  const { time = 1, no_limit: noLimit } = mine?.needs ?? {}
  const found = [t(work.changeable ? 'may_change' : 'stays')]
  if (work.limit && !noLimit) found.push(t('minutes_for_all', { n: Math.round((work.limit * time) / 60) }))
  if (work.until && (work.together || !noLimit)) {
    const at = new Intl.DateTimeFormat(localeOf(), {
      numberingSystem: 'latn',
      hour: 'numeric',
      minute: '2-digit',
    })
    found.push(t('until_clock', { time: at.format(work.until) }))
    if (time > 1 && !work.together) found.push(t('more_time'))
  }
  if (work.timed && !noLimit) found.push(t('timed'))
  found.push(t(`tells_${work.feedback}`))
  if (work.comes_back) found.push(t('comes_back'))
  return found
})
</script>

<template>
  <div class="pt-6">
    <h1 class="text-3xl wrap-anywhere" dir="auto">{{ title }}</h1>
    <p v-if="work.collected" class="mt-4 text-lg" role="status">{{ t('too_late') }}</p>
    <template v-else>
      <p class="figure mt-3 text-2xl">{{ t('questions', { n: work.questions }) }}</p>
      <ul class="mt-4 space-y-3 text-lg">
        <li v-for="fact in facts" :key="fact" class="border-s-4 border-rule ps-3">{{ fact }}</li>
      </ul>
    </template>
  </div>
</template>
