<script setup lang="ts">
/** A game that one can play alone, or just questions. */
import { computed, defineAsyncComponent } from 'vue'
import type { GameName, Settings, WorkOffer } from '@/api/types'
import { viewsOf } from '@/games/registry'
import { field } from '@/ui/recipes'

const props = defineProps<{ games: NonNullable<WorkOffer['games']>; problem?: string }>()
const settings = defineModel<Settings>({ required: true })
const isPlayed = computed(() => settings.value.game.game !== 'points')
const played = computed({
  get: () => (isPlayed.value ? settings.value.game.game : ''),
  set: (name) => {
    const found = props.games.find((one) => one.game === name)?.settings as Settings | undefined
    settings.value = found
      ? {
          ...settings.value,
          game: found.game,
          time: found.time,
          answers: 'final',
          feedback: 'each',
          mix_questions: true,
        }
      : { ...settings.value, game: { game: 'points', early_bonus: false, run_bonus: false } }
  },
})
const own = computed(() =>
  isPlayed.value ? defineAsyncComponent(viewsOf(settings.value.game.game as GameName).settings) : null,
)
</script>

<template>
  <div class="space-y-3 py-3">
    <label class="block"
      ><span class="sr-only">Played as</span>
      <select v-model="played" :class="field">
        <option value="">Just questions</option>
        <option v-for="one in games" :key="one.game" :value="one.game">
          {{ viewsOf(one.game as GameName).label }}: {{ viewsOf(one.game as GameName).hint }}
        </option>
      </select>
    </label>
    <p v-if="problem" role="alert" class="text-wrong">{{ problem }}</p>
    <component :is="own" v-if="own" v-model="settings.game" v-model:settings="settings" :plan="null" />
  </div>
</template>
