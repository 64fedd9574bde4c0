<script setup lang="ts">
/** Which third of the class, by score, gave which answer. */
import { computed } from 'vue'
import type { QuestionResult } from '@/api/types'
import LineText from '@/questions/shared/LineText.vue'
import { told } from '@/told'
import { t } from './words'

const props = defineProps<{ thirds: NonNullable<QuestionResult['page']['thirds']> }>()
const NAMES = ['lowest', 'middle', 'highest'] as const

const lines = computed(() => [
  ...props.thirds.lines.map((line) => ({ ...line, key: line.label + line.text })),
  { label: '', text: t('no_answer'), words: null, right: false, counts: props.thirds.omitted, key: '-' },
])
const share = (count: number, third: number): number => count / Math.max(1, props.thirds.sizes[third]!)
</script>

<template>
  <table class="w-full text-[15px]">
    <caption class="pb-1 text-start text-slate">
      {{
        t('who_answered_what_by_thirds')
      }}
    </caption>
    <thead>
      <tr class="border-b border-rule text-start text-sm text-slate">
        <th scope="col" class="py-1 font-normal">{{ t('answer_2') }}</th>
        <th
          v-for="(name, third) in NAMES"
          :key="name"
          scope="col"
          class="w-24 px-2 py-1 text-end font-normal"
        >
          {{ t(name) }} ({{ thirds.sizes[third] }})
        </th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="line in lines"
        :key="line.key"
        class="border-b border-rule"
        :class="line.right && 'font-bold'"
      >
        <th
          scope="row"
          class="py-1 pe-2 text-start font-normal wrap-anywhere"
          :class="line.right && 'font-bold'"
        >
          <LineText :text="[line.label, told(line.words) || line.text].filter(Boolean).join(' ')" />
          <span v-if="line.right">{{ t('right_3') }}</span>
        </th>
        <td v-for="(name, third) in NAMES" :key="name" class="px-2 py-1 align-bottom">
          <span class="block text-end tabular-nums">{{ line.counts[third] }}</span>
          <span class="block h-1 bg-mist"
            ><span
              class="block h-full"
              :class="line.right ? 'bg-lamp' : 'bg-slate'"
              :style="{ width: `${share(line.counts[third]!, third) * 100}%` }"
          /></span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
