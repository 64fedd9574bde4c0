<script setup lang="ts">
/** What was written, as large as it can stand; what does not fit stands on further pages, which turn by themselves. */
import { useIntervalFn, useMutationObserver, useResizeObserver } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { ShownWall } from '@/api/types'
import { t } from './words'

const props = defineProps<{
  wall: ShownWall
  isOpen: boolean
  /** How large everything stands: where it changes, pages are others. */
  scale: number
}>()
const TURNS_AFTER = 12_000
const MOST_ALIKE = 3
const frame = ref<HTMLElement>()
const pages = ref(1)
const page = ref(1)

const size = computed(() => {
  const count = props.wall.entries.length
  return count <= 6 ? '1.25em' : count <= 14 ? '1em' : count <= 40 ? 'max(18px, 0.82em)' : 'max(18px, 0.66em)'
})

/** Columns of a fixed height run on to the right: a frame's width of them, and the gap after it, is a page. */
const width = (box: HTMLElement): number =>
  Math.max(1, box.clientWidth + (parseFloat(getComputedStyle(box).columnGap) || 0))

function measure(): void {
  const box = frame.value
  if (!box) return
  pages.value = Math.max(1, Math.ceil((box.scrollWidth - 1) / width(box)))
  turnTo(Math.min(page.value, pages.value))
}

function turnTo(wanted: number): void {
  page.value = ((wanted - 1 + pages.value) % pages.value) + 1
  const box = frame.value
  if (box) box.scrollLeft = (page.value - 1) * width(box)
}

const turning = useIntervalFn(() => turnTo(page.value + 1), TURNS_AFTER)
function turn(by: number): void {
  turning.pause()
  turnTo(page.value + by)
}
useResizeObserver(frame, measure)
useMutationObserver(frame, measure, { childList: true, subtree: true, characterData: true })
watch(() => [props.wall, props.scale], measure, { flush: 'post', immediate: true })
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <ul
      ref="frame"
      class="min-h-0 grow overflow-hidden [column-fill:auto] gap-[0.8em] [column-width:12em]"
      :style="{ fontSize: size }"
      :aria-label="t('what_was_written')"
      aria-live="off"
    >
      <li
        v-for="entry in wall.entries"
        :key="entry.id"
        class="mb-[0.6em] break-inside-avoid rounded border bg-strip px-[0.6em] py-[0.4em] leading-snug wrap-anywhere whitespace-pre-line"
        :class="entry.pinned ? 'border-2 border-front' : 'border-line'"
        dir="auto"
      >
        {{ entry.text
        }}<span v-if="entry.count > 1" class="figure ms-[0.4em] whitespace-nowrap">× {{ entry.count }}</span>
        <span
          v-for="(text, index) in entry.alike?.slice(0, MOST_ALIKE)"
          :key="index"
          class="block text-[0.85em] text-soft"
          dir="auto"
          >{{ text }}</span
        >
        <span v-if="(entry.alike?.length ?? 0) > MOST_ALIKE" class="block text-[0.85em] text-soft">
          {{ t('more_alike', { n: entry.alike!.length - MOST_ALIKE }) }}
        </span>
        <span v-if="entry.names?.length" class="block text-[0.8em] text-soft">{{
          entry.names.join(', ')
        }}</span>
        <b v-if="entry.backed" class="block text-[0.8em]">{{ t('think_so_too', { n: entry.backed }) }}</b>
      </li>
    </ul>
    <p v-if="!wall.entries.length" class="text-soft">
      {{ isOpen ? t('comes_up_here') : t('nothing_shown') }}
    </p>
    <p class="flex flex-wrap items-center gap-x-[1em] pt-[0.3em] text-[max(18px,0.7em)] text-soft">
      <span v-if="wall.backing">{{ t('may_back') }}</span>
      <span v-if="wall.more">{{ t('more_answers', { n: wall.more }) }}</span>
      <span v-if="pages > 1" class="ms-auto flex items-center gap-2">
        <button type="button" class="min-h-9 rounded px-2" :aria-label="t('page_before')" @click="turn(-1)">
          <span class="inline-block rtl:-scale-x-100">‹</span>
        </button>
        <span class="figure">{{ page }} / {{ pages }}</span>
        <button type="button" class="min-h-9 rounded px-2" :aria-label="t('next_page')" @click="turn(1)">
          <span class="inline-block rtl:-scale-x-100">›</span>
        </button>
      </span>
    </p>
  </div>
</template>
