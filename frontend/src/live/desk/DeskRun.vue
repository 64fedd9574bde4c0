<script setup lang="ts">
import { computed } from 'vue'
import { percent } from '@/composables/format'
import type { DeskView } from '@/api/types'
import LineText from '@/questions/shared/LineText.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ view: DeskView }>()
const emit = defineEmits<{ go: [item: string] }>()

type Row = DeskView['run'][number]

const works = computed(() => props.view.phase === 'working')

function state(row: Row): string {
  if (works.value) return row.number === null ? t('is_page') : String(row.answered || '')
  if (row.status === 'open') return t('is_open')
  if (row.share !== null) return percent(row.share)
  if (row.number === null) return t('is_page')
  return row.status === 'shown' ? t('is_asked') : ''
}
</script>

<template>
  <nav :aria-label="t('run_order')" @mousedown.prevent class="min-h-0 overflow-y-auto px-3 py-4">
    <p v-if="works" class="px-2 pb-1 text-end text-sm text-slate">{{ t('answered_2') }}</p>
    <ol class="space-y-0.5">
      <li v-for="row in view.run" :key="row.id">
        <button
          type="button"
          class="flex w-full items-start gap-3 rounded px-2 py-2 text-start text-[15px] leading-snug disabled:opacity-100"
          :class="
            ['open', 'current'].includes(row.status) ? 'bg-hull text-foam' : 'hover:enabled:bg-tide-wash'
          "
          :aria-current="['open', 'current'].includes(row.status) || undefined"
          :disabled="view.phase === 'ended' || works"
          @click="emit('go', row.id)"
        >
          <span class="w-4 shrink-0 font-bold">{{ row.number ?? '–' }}</span>
          <LineText
            class="line-clamp-2 grow wrap-anywhere"
            :text="row.title || (row.asked_now ? t('asked_aloud') : common('untitled'))"
          />
          <span
            class="shrink-0 text-sm"
            :class="['open', 'current'].includes(row.status) ? 'text-beam' : 'text-slate'"
            >{{ state(row) }}</span
          >
        </button>
      </li>
    </ol>
  </nav>
</template>
