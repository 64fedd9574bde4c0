<script setup lang="ts">
/**
 * The end: along a quay everybody's own light is lit, one after the other; the first places as high as their points, all
 * others together. The first are called by name; nobody else is.
 */
import { computed } from 'vue'
import type { ScreenView } from '@/api/types'
import LightSign from '@/lights/LightSign.vue'
import { firstOnes } from './firstOnes'
import { HEIGHT, stands, WIDTH } from './quay'
import { t } from './words'

const props = defineProps<{ view: ScreenView }>()
const LIT_WITHIN = 2.4
/** Where there are no lights, or one has none any more: a plain one. */
const PLAIN = '00000000'

const first = computed(() => firstOnes(props.view))
const lights = computed(() => {
  const points = props.view.lights ?? []
  return stands(points).map((stand, index) => ({
    ...stand,
    sign: props.view.signs?.[index] || PLAIN,
    after: `${(LIT_WITHIN * (points.length - index)) / points.length}s`,
  }))
})
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <p class="mb-[1.2vh] text-[max(18px,0.7em)] text-soft">{{ view.title }}</p>
    <h1 class="text-[1.8em]">{{ t('thanks') }}</h1>
    <ol v-if="first.named.length && view.named" class="mt-[2.5vh] flex flex-wrap gap-x-[2em] gap-y-[0.4em]">
      <li v-for="row in first.named" :key="row.name" class="flex items-center gap-[0.5em]">
        <span class="figure text-soft">{{ row.place }}</span>
        <LightSign v-if="row.light" :light="row.light" class="h-[2em] shrink-0" />
        <b class="max-w-[14em] truncate text-[1.2em]">{{ row.name }}</b>
        <span class="figure text-soft">{{ row.points }}</span>
      </li>
    </ol>
    <p v-if="first.shared && view.named" class="mt-[2vh]">
      {{ t('share_place', { n: first.shared.people, place: first.shared.place }) }}
    </p>
    <svg
      v-if="lights.length"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="mt-[1.5vh] min-h-0 w-full grow"
      preserveAspectRatio="xMidYMax meet"
      role="img"
      :aria-label="t('lights_of_all', { n: view.people })"
    >
      <g v-for="(light, index) in lights" :key="index">
        <path
          v-if="light.pile > 2"
          :d="`M${light.x} ${light.y}v${light.pile}`"
          class="stroke-line"
          stroke-width="1.5"
        />
        <LightSign
          :light="light.sign"
          :x="light.x - (light.height * 20) / 64"
          :y="light.y - light.height"
          :width="(light.height * 40) / 64"
          :height="light.height"
          class="lamp"
          :style="{ animationDelay: light.after }"
        />
      </g>
      <path :d="`M0 ${HEIGHT - 14}H${WIDTH}v8H0z`" class="fill-line" />
    </svg>
    <p v-if="!lights.length" class="mt-[2vh] text-soft">{{ t('may_close') }}</p>
    <p v-else class="pt-[1vh] text-[max(18px,0.7em)] text-soft">
      {{ t('light_for_each') }}
    </p>
  </div>
</template>

<style scoped>
.lamp {
  animation: is-lit 0.5s ease-out backwards;
}
@keyframes is-lit {
  from {
    opacity: 0.1;
  }
}
</style>
