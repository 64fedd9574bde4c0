<script setup lang="ts">
/** A game that one can play alone, as it comes or as its teacher has kept it; or just questions. */
import { computed, defineAsyncComponent, ref } from 'vue'
import type { GameName, Settings, WorkOffer } from '@/api/types'
import { deskOf } from '@/games/desks'
import { field } from '@/ui/recipes'
import { t } from './words'

const props = defineProps<{
  games: NonNullable<WorkOffer['games']>
  kept: NonNullable<WorkOffer['kept']>
  problem?: string
}>()
const settings = defineModel<Settings>({ required: true })
const isPlayed = computed(() => settings.value.game.game !== 'points')
const taken = ref('')
const nameOf = (kept: { id: number }): string => `kept ${kept.id}`
const played = computed({
  get: () => (isPlayed.value ? taken.value || settings.value.game.game : ''),
  set: (name) => {
    const own = props.kept.find((one) => nameOf(one) === name)?.settings as Settings | undefined
    taken.value = own ? name : ''
    if (own) {
      settings.value = { ...own, known: settings.value.known }
      return
    }
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
  isPlayed.value ? defineAsyncComponent(deskOf(settings.value.game.game as GameName).settings) : null,
)
</script>

<template>
  <div class="space-y-3 py-3">
    <label class="block"
      ><span class="sr-only">{{ t('played_as') }}</span>
      <select v-model="played" :class="field">
        <option value="">{{ t('just_questions') }}</option>
        <option v-for="one in games" :key="one.game" :value="one.game">
          {{ deskOf(one.game as GameName).label() }}: {{ deskOf(one.game as GameName).hint() }}
        </option>
        <optgroup v-if="kept.length" :label="t('your_own')">
          <option v-for="one in kept" :key="one.id" :value="nameOf(one)">{{ one.name }}</option>
        </optgroup>
      </select>
    </label>
    <p v-if="problem" role="alert" class="text-wrong">{{ problem }}</p>
    <component :is="own" v-if="own" v-model="settings.game" v-model:settings="settings" :plan="null" alone />
  </div>
</template>
