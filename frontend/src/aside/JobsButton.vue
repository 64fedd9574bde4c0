<script setup lang="ts">
/** What is being made, and what was, from wherever one is. */
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { computed } from 'vue'
import { dayAndTime } from '@/composables/format'
import { fileOf, isLive, useJobs } from './useJobs'
import { progressBar } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const { jobs, remove } = useJobs()
const live = computed(() => jobs.value?.filter(isLive).length ?? 0)
const STATES = {
  waiting: t('waiting'),
  running: t('being_made'),
  done: t('made'),
  failed: t('failed'),
  cancelled: '',
}
</script>

<template>
  <Popover v-if="jobs?.length" class="relative">
    <PopoverButton class="rounded px-2 py-1 whitespace-nowrap hover:text-foam"
      ><span aria-live="polite" class="max-sm:sr-only">{{
        live ? t('being_made_2', { live }) : t('made_for_you')
      }}</span>
      <svg
        class="inline size-4 sm:hidden"
        viewBox="0 0 16 16"
        fill="none"
        stroke="currentColor"
        aria-hidden="true"
      >
        <path d="M8 2v8m-3.5-3L8 10.5 11.5 7M2 11v3h12v-3" stroke-width="1.6" />
      </svg>
      <span aria-hidden="true" class="ms-1">{{ live ? '…' : '▾' }}</span></PopoverButton
    >
    <PopoverPanel
      class="absolute end-0 z-30 mt-1 w-96 max-w-[90vw] rounded border border-slate bg-sheet py-1 text-[15px] text-ink shadow-sm max-sm:-end-24"
    >
      <p class="px-4 pt-1.5 text-slate">{{ t('made_aside_whatever_page_you_are') }}</p>
      <ul class="relative max-h-[60vh] overflow-y-auto">
        <li v-for="job in jobs" :key="job.id" class="border-b border-rule px-4 py-2 last:border-0">
          <p class="wrap-anywhere">{{ job.title }}</p>
          <progress
            v-if="isLive(job) && job.total"
            :class="progressBar"
            class="my-1 block h-2 w-full"
            :value="job.done"
            :max="job.total"
            :aria-label="t('of', { title: job.title, done: job.done, total: job.total })"
          />
          <p class="flex flex-wrap items-baseline gap-x-4 text-slate">
            <span
              >{{ STATES[job.state] }}
              <template v-if="isLive(job) && job.total">{{
                t('of_2', { done: job.done, total: job.total })
              }}</template><template v-else-if="!isLive(job)">
                · {{ dayAndTime(job.made_at)
                }}<template v-if="job.state === 'failed' && job.done">{{
                  t('after_of', { done: job.done, total: job.total })
                }}</template></template
              ></span
            >
            <a v-if="job.has_file" :href="fileOf(job)" class="font-bold text-tide hover:underline" download>{{
              t('fetch_it')
            }}</a>
            <button type="button" class="ms-auto font-bold text-tide hover:underline" @click="remove(job)">
              {{ isLive(job) ? t('give_it_up') : common('remove')
              }}<span class="sr-only">: {{ job.title }}</span>
            </button>
          </p>
          <p v-if="job.refused" class="text-wrong">{{ told(job.refused) }}</p>
        </li>
      </ul>
    </PopoverPanel>
  </Popover>
</template>
