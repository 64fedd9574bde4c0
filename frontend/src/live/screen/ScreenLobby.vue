<script setup lang="ts">
import { computed } from 'vue'
import type { GameChosen, ScreenView, SessionInfo } from '@/api/types'
import GameRules from '@/games/shared/GameRules.vue'
import LightSign from '@/lights/LightSign.vue'
import JoinHow from './JoinHow.vue'
import ReadRules from './ReadRules.vue'
import { t } from './words'

const props = defineProps<{ view: ScreenView; info: SessionInfo | null; session: number }>()

/** In a lecture the newest names are shown: everyone finds their own for a moment. */
const MOST = 30
const NEWEST = 28
const people = computed(() => {
  const signs = props.view.signs ?? []
  const all = props.view.names.map((name, index) => ({ name, sign: signs[index] ?? '' }))
  return all.length > MOST ? all.slice(-NEWEST).reverse() : all
})
const others = computed(() => props.view.names.length - people.value.length)
</script>

<template>
  <div class="min-h-0">
    <h1 class="text-[0.9em]">{{ view.title || t('untitled_set') }}</h1>
    <p v-if="view.locked" class="mt-[3vh] text-[1.5em] text-light">{{ t('doors_locked') }}</p>
    <JoinHow v-else :code="view.code" :info="info" :session="session" class="mt-[3vh]" />
    <div
      class="mt-[3vh] grid gap-x-[3vw] gap-y-[3vh]"
      :class="view.game ? 'lg:grid-cols-[minmax(0,17em)_minmax(0,1fr)]' : ''"
    >
      <GameRules
        v-if="view.game"
        v-slot="{ rules }"
        :game="view.game as GameChosen"
        class="text-[max(18px,0.72em)]"
      >
        <ReadRules :rules="rules" />
      </GameRules>
      <div class="min-w-0">
        <p class="mb-[1vh]" role="status">
          {{ view.people ? t('are_here', { n: view.people }) : t('nobody_here') }}
        </p>
        <ul
          v-if="view.named"
          class="grid max-h-[46vh] grid-cols-[repeat(auto-fill,minmax(8.6em,1fr))] gap-x-[0.8em] gap-y-[0.1em] overflow-hidden text-[max(18px,0.72em)]"
        >
          <li v-for="{ name, sign } in people" :key="name" class="flex min-w-0 items-center gap-[0.4em]">
            <LightSign v-if="sign" :light="sign" class="h-[1.5em] shrink-0" /><span class="truncate">{{
              name
            }}</span>
          </li>
          <li v-if="others" class="text-soft">{{ t('and_more', { n: others }) }}</li>
        </ul>
        <div
          v-else-if="view.signs?.length"
          class="flex max-h-[46vh] flex-wrap gap-x-[0.3em] gap-y-[0.25em] overflow-hidden"
          :class="view.people > 120 ? 'text-[0.5em]' : view.people > 40 ? 'text-[0.72em]' : ''"
        >
          <template v-for="(sign, index) in view.signs" :key="index">
            <LightSign v-if="sign" :light="sign" told class="h-[2em]" />
          </template>
        </div>
      </div>
    </div>
  </div>
</template>
