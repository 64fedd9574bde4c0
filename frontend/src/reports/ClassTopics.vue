<script setup lang="ts">
/** A class by topic and time: a wall of panes, each lit as high as its share. */
import type { ClassResults } from '@/api/types'
import { percent, shortDay } from '@/composables/format'
import ShareCell from './ShareCell.vue'
import { t } from './words'

defineProps<{ results: ClassResults['results'] }>()
</script>

<template>
  <section class="rounded border border-rule bg-sheet py-3.5" aria-labelledby="topics">
    <h2 id="topics" class="px-4.5 text-lg">{{ t('by_topic_and_over_time') }}</h2>
    <p class="px-4.5 pb-2 text-[15px] text-slate">
      {{ t('percent_right_in_each_session') }}
    </p>
    <div
      class="relative overflow-x-auto px-4.5"
      tabindex="0"
      role="group"
      :aria-label="t('topics_by_session_to_be_scrolled')"
    >
      <table class="border-separate border-spacing-0.5 text-[15px]">
        <thead>
          <tr class="text-sm text-slate">
            <th scope="col" class="sticky start-0 bg-sheet text-start font-normal">{{ t('topic') }}</th>
            <th scope="col" class="px-2 text-end font-normal">{{ t('all') }}</th>
            <th v-for="one in results.sessions" :key="one.id" scope="col" class="px-0.5 font-normal">
              <RouterLink
                :to="`/sessions/${one.id}`"
                class="block whitespace-nowrap text-tide hover:underline"
                :title="one.title"
                >{{ shortDay(one.at) }}<span class="sr-only"> {{ one.title }}</span></RouterLink
              >
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="topic in results.topics" :key="topic.topic">
            <th
              scope="row"
              class="sticky start-0 max-w-56 bg-sheet pe-3 text-start font-normal wrap-anywhere"
              dir="auto"
            >
              {{ topic.topic }}
            </th>
            <td class="px-2 text-end font-bold whitespace-nowrap tabular-nums">
              {{ percent(topic.share) }}
            </td>
            <td v-for="point in topic.points" :key="point.session"><ShareCell :share="point.share" /></td>
          </tr>
          <tr>
            <th scope="row" class="sticky start-0 bg-sheet pe-3 text-start">{{ t('everything') }}</th>
            <td />
            <td v-for="one in results.sessions" :key="one.id"><ShareCell :share="one.share" /></td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
