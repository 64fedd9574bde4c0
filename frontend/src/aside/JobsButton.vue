<script setup lang="ts">
/** What is being made, and what was, from wherever one is. */
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { computed } from 'vue'
import { dayAndTime } from '@/composables/format'
import { fileOf, isLive, useJobs } from './useJobs'

const { jobs, remove } = useJobs()
const live = computed(() => jobs.value?.filter(isLive).length ?? 0)
const STATES = { waiting: 'waiting', running: 'being made', done: 'made', failed: 'failed', cancelled: '' }
</script>

<template>
  <Popover v-if="jobs?.length" class="relative">
    <PopoverButton class="rounded px-2 py-1 whitespace-nowrap hover:text-foam"
      ><span aria-live="polite" class="max-sm:sr-only">{{
        live ? `Being made: ${live}` : 'Made for you'
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
      class="absolute right-0 z-30 mt-1 w-96 max-w-[90vw] rounded border border-slate bg-sheet py-1 text-[15px] text-ink shadow-sm max-sm:-right-24"
    >
      <p class="px-4 pt-1.5 text-slate">Made aside, whatever page you are on. Files are kept for a week.</p>
      <ul class="relative max-h-[60vh] overflow-y-auto">
        <li v-for="job in jobs" :key="job.id" class="border-b border-rule px-4 py-2 last:border-0">
          <p class="wrap-anywhere">{{ job.title }}</p>
          <progress
            v-if="isLive(job) && job.total"
            class="my-1 block h-2 w-full accent-tide"
            :value="job.done"
            :max="job.total"
            :aria-label="`${job.title}: ${job.done} of ${job.total}`"
          />
          <p class="flex flex-wrap items-baseline gap-x-4 text-slate">
            <span
              >{{ STATES[job.state]
              }}<template v-if="isLive(job) && job.total"> · {{ job.done }} of {{ job.total }}</template
              ><template v-else-if="!isLive(job)">
                · {{ dayAndTime(job.made_at)
                }}<template v-if="job.state === 'failed' && job.done"
                  >, after {{ job.done }} of {{ job.total }}</template
                ></template
              ></span
            >
            <a v-if="job.has_file" :href="fileOf(job)" class="font-bold text-tide hover:underline" download
              >Fetch it</a
            >
            <button type="button" class="ms-auto font-bold text-tide hover:underline" @click="remove(job)">
              {{ isLive(job) ? 'Give it up' : 'Remove' }}<span class="sr-only">: {{ job.title }}</span>
            </button>
          </p>
          <p v-if="job.refused" class="text-wrong">{{ job.refused.sentence }}</p>
        </li>
      </ul>
    </PopoverPanel>
  </Popover>
</template>
