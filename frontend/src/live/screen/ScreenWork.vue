<script setup lang="ts">
/** Own pace: the time that is left and how many have handed in, and nothing of anybody's answers. */
import { computed } from 'vue'
import type { ScreenView } from '@/api/types'
import { clockTime, hourOf } from '@/composables/format'
import { t } from './words'

const props = defineProps<{ view: ScreenView; seconds: number | null }>()
const papers = computed(() => props.view.papers!)
const clock = computed(() => (props.seconds === null ? '' : clockTime(props.seconds)))
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <h1 class="text-[1.62em] wrap-anywhere">{{ view.title || t('untitled_set') }}</h1>
    <p class="mt-[1vh] text-soft">{{ t('own_pace') }}</p>
    <div class="flex grow flex-wrap content-center items-end gap-x-[6vw] gap-y-[4vh]">
      <p v-if="clock" role="timer">
        <span class="figure block text-[5em] leading-none text-light tabular-nums">{{ clock }}</span>
        <span class="text-soft">{{ t('left_until', { time: hourOf(papers.deadline!) }) }}</span>
      </p>
      <p role="status">
        <span class="figure block text-[5em] leading-none tabular-nums"
          >{{ papers.handed_in }}
          <span class="text-[0.5em] text-soft">{{ t('of_people', { people: view.people }) }}</span></span
        >
        <span class="text-soft">{{ t('have_handed_in') }}</span>
      </p>
    </div>
    <p v-if="papers.begun < view.people" class="text-soft">{{ t('have_begun', { n: papers.begun }) }}</p>
  </div>
</template>
