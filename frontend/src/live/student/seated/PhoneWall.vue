<script setup lang="ts">
/** What the class wrote; one's own is marked, and of the others one may say that one thinks so, too. */
import { computed } from 'vue'
import type { Mine, ShownWall, StudentAnswer } from '@/api/types'
import type { PaperLink } from './useSeat'
import { language } from '@/words'
import { t } from './words'

const props = defineProps<{
  wall: ShownWall
  mine: Mine | null
  answer: StudentAnswer | null
  own?: PaperLink['own']
}>()
const backed = computed(() => new Set(props.mine?.backed?.entries))
/** A wall is of texts: whatever the kind, its answer is one. */
const written = computed(() => (props.answer as { text?: string } | null)?.text?.trim())
</script>

<template>
  <ul class="space-y-2.5">
    <li
      v-for="entry in wall.entries"
      :key="entry.id"
      class="rounded border bg-sheet px-3 py-2"
      :class="entry.pinned ? 'border-ink' : 'border-rule'"
    >
      <p class="leading-snug wrap-anywhere whitespace-pre-line" dir="auto">
        {{ entry.text }}
        <span v-if="entry.count > 1" class="figure text-slate">× {{ entry.count }}</span>
      </p>
      <p
        v-for="(text, index) in entry.alike?.slice(0, 3)"
        :key="index"
        class="text-[15px] text-slate"
        dir="auto"
      >
        {{ text }}
      </p>
      <p
        v-if="entry.text === written"
        class="text-[15px] underline decoration-2 underline-offset-4"
        :lang="language"
        dir="auto"
      >
        {{ t('your_own') }}
      </p>
      <button
        v-else-if="wall.backing && own"
        type="button"
        class="mt-1 min-h-11 rounded border px-3 font-bold"
        :lang="language"
        :class="backed.has(entry.id) ? 'border-ink bg-ink text-sheet' : 'border-edge text-tide'"
        :aria-pressed="backed.has(entry.id)"
        :disabled="own.going.value > 0"
        @click="own.back(entry.id, !backed.has(entry.id))"
      >
        {{ t('think_so') }}
      </button>
    </li>
  </ul>
  <p v-if="own?.notice.value" role="alert" class="mt-2 text-wrong" :lang="language" dir="auto">
    {{ own.notice.value }}
  </p>
  <p v-if="wall.more" class="mt-2 text-slate" :lang="language" dir="auto">
    {{ t('wall_more', { n: wall.more }) }}
  </p>
</template>
