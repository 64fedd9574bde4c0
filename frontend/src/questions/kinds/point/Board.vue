<script setup lang="ts">
/** The picture with areas and points on it. Emits where it is pressed, dragged and left. */
import { ref } from 'vue'
import type { Area, Picture, Spot } from '@/api/types'
import { pictureSet, pictureUrl } from '@/media/shown/pictures'
import { cornersOf, spotOf } from './shapes'

defineProps<{
  picture: Picture
  areas?: readonly Area[]
  points?: readonly Spot[]
  /** The point that was chosen. */
  mark?: Spot | null
}>()
const emit = defineEmits<{ down: [spot: Spot]; drag: [spot: Spot]; up: [spot: Spot] }>()
const board = ref<HTMLElement>()
const held = ref(false)

const spot = (event: PointerEvent): Spot => spotOf(event, board.value!.getBoundingClientRect())

function down(event: PointerEvent): void {
  held.value = true
  board.value?.setPointerCapture(event.pointerId)
  emit('down', spot(event))
}

function up(event: PointerEvent): void {
  held.value = false
  emit('up', spot(event))
}
</script>

<template>
  <div
    ref="board"
    class="relative mx-auto w-fit max-w-full touch-none select-none"
    @pointerdown="down"
    @pointermove="held && emit('drag', spot($event))"
    @pointerup="up"
  >
    <img
      :src="pictureUrl(picture, 960)"
      :srcset="pictureSet(picture)"
      :alt="picture.description"
      :width="picture.width"
      :height="picture.height"
      draggable="false"
      class="block h-auto max-h-[58vh] w-auto max-w-full rounded"
    />
    <svg
      class="pointer-events-none absolute inset-0 size-full"
      viewBox="0 0 100 100"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <g
        v-for="area in areas"
        :key="area.id"
        fill-opacity="0.35"
        vector-effect="non-scaling-stroke"
        :class="area.right === false ? 'fill-sheet stroke-ink' : 'fill-lamp stroke-ink'"
      >
        <rect
          v-if="area.place.shape === 'rectangle'"
          :x="area.place.x * 100"
          :y="area.place.y * 100"
          :width="area.place.width * 100"
          :height="area.place.height * 100"
          stroke-width="2"
          vector-effect="non-scaling-stroke"
        />
        <ellipse
          v-else-if="area.place.shape === 'ellipse'"
          :cx="area.place.x * 100"
          :cy="area.place.y * 100"
          :rx="area.place.radius_x * 100"
          :ry="area.place.radius_y * 100"
          stroke-width="2"
          vector-effect="non-scaling-stroke"
        />
        <polygon
          v-else
          :points="cornersOf(area.place.corners)"
          stroke-width="2"
          vector-effect="non-scaling-stroke"
        />
      </g>
    </svg>
    <span
      v-for="(point, index) in points"
      :key="index"
      class="pointer-events-none absolute size-3 -translate-1/2 rounded-full border-2 border-sheet bg-ink"
      :style="{ left: `${point.x * 100}%`, top: `${point.y * 100}%` }"
      aria-hidden="true"
    />
    <span
      v-if="mark"
      class="pointer-events-none absolute size-9 -translate-1/2 rounded-full border-4 border-ink bg-lamp/60 outline-2 outline-sheet"
      :style="{ left: `${mark.x * 100}%`, top: `${mark.y * 100}%` }"
      aria-hidden="true"
    />
  </div>
</template>
