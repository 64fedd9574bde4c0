<script setup lang="ts">
/** Who is ahead, half of the class at most: nobody is shown to be last. What the last question moved is seen to move. */
import { computed, onMounted, ref, watch } from 'vue'
import type { ScreenView } from '@/api/types'
import LightSign from '@/lights/LightSign.vue'
import AlikeToo from '@/games/shared/AlikeToo.vue'
import { t } from './words'

const props = defineProps<{ view: ScreenView }>()
const MOVES_AFTER = 900
/** First as they stood before the question, then as they stand now. */
const moved = ref(false)
let timer: ReturnType<typeof setTimeout> | undefined

function begin(): void {
  moved.value = false
  clearTimeout(timer)
  timer = setTimeout(() => (moved.value = true), MOVES_AFTER)
}
onMounted(begin)
watch(() => props.view.step, begin)

const most = computed(() => Math.max(1, ...props.view.standings.map((row) => row.points)))
const rows = computed(() => {
  const now = props.view.standings.map((row, index) => ({ ...row, key: row.name || String(index) }))
  if (moved.value || now.every((row) => row.before === null)) return now
  return [...now].sort((a, b) => (a.before ?? 999) - (b.before ?? 999))
})
const points = (row: (typeof rows.value)[number]): number =>
  moved.value || row.before === null ? row.points : (row.points_before ?? 0)

function change(row: (typeof rows.value)[number]): { sign: string; words: string } | null {
  const by = (row.before ?? row.place) - row.place
  if (!by) return null
  return by > 0
    ? { sign: `▲ ${by}`, words: t('places_up', { n: by }) }
    : { sign: `▼ ${-by}`, words: t('places_down', { n: -by }) }
}
</script>

<template>
  <div>
    <p class="mb-[1.2vh] text-[max(18px,0.7em)] text-soft">{{ view.title }}</p>
    <h1 class="text-[1.8em]">{{ t('standings') }}</h1>
    <TransitionGroup tag="ol" move-class="row-moves" class="mt-[3vh] space-y-[0.9vh]">
      <li v-for="row in rows" :key="row.key" class="flex items-center gap-[0.8em] text-[0.9em]">
        <span class="figure w-[1.6em] text-end text-soft">{{ row.place }}</span>
        <LightSign v-if="row.light" :light="row.light" class="h-[1.9em] shrink-0" />
        <span v-if="view.named" class="w-[30%] truncate">{{ row.name }}</span>
        <span class="w-[3em] text-[max(18px,0.75em)] whitespace-nowrap text-soft">
          <template v-if="moved && change(row)"
            ><span aria-hidden="true">{{ change(row)!.sign }}</span
            ><span class="sr-only">{{ change(row)!.words }}</span></template
          >
        </span>
        <span class="h-[1.1em] grow">
          <span
            class="block h-full transition-[width] duration-500"
            :class="row.place === 1 ? 'bg-light-bar' : 'bg-bar'"
            :style="{ width: `${(points(row) / most) * 100}%` }"
          />
        </span>
        <span class="figure w-[3em] text-end">{{ points(row) }}</span>
      </li>
    </TransitionGroup>
    <p v-if="view.people > view.standings.length" class="mt-[2vh] text-[max(18px,0.7em)] text-soft">
      <AlikeToo v-if="view.more_alike" :view="view" />
      <template v-else>{{ t('first_of', { first: view.standings.length, people: view.people }) }}</template>
      {{ t('own_place') }}
    </p>
  </div>
</template>

<style scoped>
.row-moves {
  transition: transform 0.6s ease;
}
</style>
