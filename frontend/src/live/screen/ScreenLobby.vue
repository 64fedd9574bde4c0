<script setup lang="ts">
import { computed } from 'vue'
import type { ScreenView, SessionInfo } from '@/api/types'
import { spacedCode } from '@/composables/codes'

const props = defineProps<{ view: ScreenView; info: SessionInfo | null; session: number }>()

/** "lantern.school/join" is easier to read out than a whole address. */
const address = computed(() => props.info?.join_url.replace(/^https?:\/\//, '').replace(/\/[^/]+$/, '') ?? '')

/** In a lecture the newest names are shown: everyone finds their own for a moment. */
const MOST = 60
const NEWEST = 28
const names = computed(() => {
  const all = props.view.names
  return all.length > MOST ? all.slice(-NEWEST).reverse() : all
})
const others = computed(() => props.view.names.length - names.value.length)
</script>

<template>
  <div class="min-h-0">
    <h1 class="text-[0.9em]">{{ view.title || 'Untitled set' }}</h1>
    <div class="mt-[3vh] flex flex-wrap items-start gap-[3vw]">
      <img
        v-if="!view.locked"
        :src="`/api/live/sessions/${session}/qr.svg`"
        alt="QR picture with the link to join"
        class="size-[clamp(11rem,34vh,26rem)] rounded"
      />
      <p v-if="view.locked" class="text-[1.5em] text-light">The doors are locked.</p>
      <div v-else>
        <p>Go to</p>
        <p class="figure text-[1.5em] wrap-anywhere text-light">{{ address }}</p>
        <p class="mt-[2vh]">and type</p>
        <p class="figure text-[3em] tracking-wide whitespace-nowrap text-light">
          {{ spacedCode(view.code) }}
        </p>
      </div>
    </div>
    <p class="mt-[4vh] mb-[1vh]" role="status">
      {{
        view.people === 0
          ? 'Nobody is here yet.'
          : view.people === 1
            ? '1 is here'
            : `${view.people} are here`
      }}
    </p>
    <ul
      v-if="view.named"
      class="flex max-h-[28vh] flex-wrap gap-x-[1.2em] gap-y-[0.2em] overflow-hidden"
      :class="view.people > 60 ? 'text-[18px]' : 'text-[0.85em]'"
    >
      <li v-for="name in names" :key="name" class="max-w-[14em] truncate">{{ name }}</li>
      <li v-if="others" class="text-soft">and {{ others }} more</li>
    </ul>
  </div>
</template>
