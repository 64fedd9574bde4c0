<script setup lang="ts">
import { computed } from 'vue'
import type { GameChosen, ScreenView, SessionInfo } from '@/api/types'
import GameRules from '@/games/shared/GameRules.vue'
import LightSign from '@/lights/LightSign.vue'
import JoinHow from './JoinHow.vue'
import ReadRules from './ReadRules.vue'

const props = defineProps<{ view: ScreenView; info: SessionInfo | null; session: number }>()

/** In a lecture the newest names are shown: everyone finds their own for a moment. */
const MOST = 60
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
    <h1 class="text-[0.9em]">{{ view.title || 'Untitled set' }}</h1>
    <p v-if="view.locked" class="mt-[3vh] text-[1.5em] text-light">The doors are locked.</p>
    <JoinHow v-else :code="view.code" :info="info" :session="session" class="mt-[3vh]" />
    <GameRules
      v-if="view.game"
      v-slot="{ rules }"
      :game="view.game as GameChosen"
      class="mt-[3vh] max-w-[46em] text-[max(18px,0.72em)]"
    >
      <ReadRules :rules="rules" />
    </GameRules>
    <p class="mt-[3vh] mb-[1vh]" role="status">
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
      <li v-for="{ name, sign } in people" :key="name" class="flex max-w-[15em] items-center gap-[0.35em]">
        <LightSign v-if="sign" :light="sign" class="h-[1.7em] shrink-0" /><span class="truncate">{{
          name
        }}</span>
      </li>
      <li v-if="others" class="text-soft">and {{ others }} more</li>
    </ul>
    <div
      v-else-if="view.signs?.length"
      class="flex max-h-[28vh] flex-wrap gap-x-[0.3em] gap-y-[0.2em] overflow-hidden"
      :class="view.people > 60 ? 'text-[18px]' : ''"
    >
      <template v-for="(sign, index) in view.signs" :key="index">
        <LightSign v-if="sign" :light="sign" class="h-[2em]" />
      </template>
    </div>
  </div>
</template>
