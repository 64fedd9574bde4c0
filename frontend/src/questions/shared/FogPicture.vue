<script setup lang="ts">
/**
 * A picture that is uncovered in steps. Which part comes when follows from the question's id and the
 * server's clock alone, so that every device shows the same, also one that comes late.
 */
import { computed } from 'vue'
import type { Picture } from '@/api/types'
import { fogOrder, fogParts, type Fog } from './fog'
import QuestionPicture from './QuestionPicture.vue'
import { t } from './words'

const props = defineProps<{
  picture: Picture
  fog: Fog
  /** The question's id. */
  item: string
  /** How much of the time has gone, 0..1. */
  gone: number
  sizes?: string
}>()

const grid = computed(() => fogParts(props.fog))
const order = computed(() => fogOrder(props.item, grid.value.columns * grid.value.rows))
const lifted = computed(() => Math.floor((props.gone / grid.value.clearAt) * order.value.length))
const isClear = computed(() => lifted.value >= order.value.length)
/** What the picture shows comes with the right answer: it would tell what is under the fog. */
const words = computed(() =>
  isClear.value ? props.picture.description || t('picture_clear') : t('picture_in_fog'),
)
const shown = computed(() => ({ ...props.picture, description: words.value }))
</script>

<template>
  <div class="relative w-fit max-w-full">
    <QuestionPicture :picture="shown" :sizes="sizes" />
    <div
      v-if="!isClear"
      class="absolute inset-0 grid"
      :style="{
        gridTemplateColumns: `repeat(${grid.columns}, 1fr)`,
        gridTemplateRows: `repeat(${grid.rows}, 1fr)`,
      }"
      data-fog
      aria-hidden="true"
    >
      <span
        v-for="(place, index) in order"
        :key="index"
        class="bg-mist outline outline-mist transition-opacity duration-200"
        :class="place < lifted && 'opacity-0'"
      />
    </div>
  </div>
</template>
