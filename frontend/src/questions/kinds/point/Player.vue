<script setup lang="ts">
/** Press on the picture; or move the mark with arrow keys; or choose a place by its name. */
import { computed, ref } from 'vue'
import type { PublicItemOf, Spot, StudentAnswerOf } from '@/api/types'
import { choiceCard, chosenCard, stepButton } from '@/questions/shared/recipes'
import Board from './Board.vue'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'point'>
  answer: StudentAnswerOf<'point'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'point'> | null] }>()

const MOVES: Record<string, [number, number, string, 'left' | 'up' | 'down' | 'right']> = {
  ArrowLeft: [-1, 0, '←', 'left'],
  ArrowUp: [0, -1, '↑', 'up'],
  ArrowDown: [0, 1, '↓', 'down'],
  ArrowRight: [1, 0, '→', 'right'],
}
const spot = ref<Spot | null>(props.answer?.spot ?? null)
const area = ref(props.answer?.area ?? null)
const where = computed(() =>
  spot.value
    ? t('mark_at', { across: Math.round(spot.value.x * 100), down: Math.round(spot.value.y * 100) })
    : '',
)

function point(to: Spot): void {
  if (props.disabled) return
  spot.value = to
  area.value = null
  emit('update', { kind: 'point', spot: to })
}

function choose(id: string): void {
  area.value = id
  spot.value = null
  emit('update', { kind: 'point', area: id })
}

function nudge(key: string, far: boolean): void {
  const [x, y] = MOVES[key]!
  const step = far ? 0.1 : 0.02
  const from = spot.value ?? { x: 0.5, y: 0.5 }
  const clamp = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 1000) / 1000
  point({ x: clamp(from.x + x * step), y: clamp(from.y + y * step) })
}

function onKey(event: KeyboardEvent): void {
  if (!(event.key in MOVES)) return
  event.preventDefault()
  nudge(event.key, event.shiftKey)
}
</script>

<template>
  <div>
    <Board
      v-if="item.picture"
      :picture="item.picture"
      :mark="spot"
      :class="!disabled && 'cursor-crosshair'"
      @down="point"
      @drag="point"
    />
    <div
      class="mt-2 flex flex-wrap items-center gap-2"
      role="group"
      dir="ltr"
      :lang="language"
      :aria-label="t('move_mark')"
      @keydown="onKey"
    >
      <button
        v-for="(move, key) in MOVES"
        :key="key"
        type="button"
        :class="stepButton"
        :lang="language"
        :aria-label="t(move[3])"
        :disabled="disabled"
        @click="nudge(String(key), false)"
      >
        {{ move[2] }}
      </button>
      <p class="text-[15px] text-slate" role="status">{{ where || t('press') }}</p>
    </div>
    <fieldset v-if="item.names.length" :disabled="disabled" class="mt-4 space-y-2">
      <legend class="mb-1 font-bold" :lang="language" dir="auto">{{ t('by_name') }}</legend>
      <label
        v-for="place in item.names"
        :key="place.id"
        class="flex min-h-12 items-center px-3 py-2 text-lg"
        :class="[choiceCard, area === place.id ? chosenCard : 'border-edge bg-sheet']"
      >
        <input
          type="radio"
          class="sr-only"
          :name="item.id"
          :checked="area === place.id"
          @change="choose(place.id)"
        /><span :data-read="place.id" dir="auto">{{ place.name }}</span>
      </label>
    </fieldset>
  </div>
</template>
