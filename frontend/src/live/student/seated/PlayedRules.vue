<script setup lang="ts">
/** What will be played, before it starts; read aloud to whoever wants that. */
import { onScopeDispose, ref } from 'vue'
import type { GameChosen, SpokenPart } from '@/api/types'
import type { Rules } from '@/games/gameViews'
import GameRules from '@/games/shared/GameRules.vue'
import { playWav } from '@/composables/played'
import { toldOf } from '../told'
import { t } from './words'
import { t as atTheDoor } from '../words'

const props = defineProps<{ game: GameChosen; speak?: (text: string) => Promise<SpokenPart> }>()
const speaking = ref(false)
const error = ref('')
let sound: ReturnType<typeof playWav> | null = null

function stop(): void {
  speaking.value = false
  sound?.stop()
}
onScopeDispose(stop)

async function toggle({ name, lines, wins }: Rules): Promise<void> {
  if (speaking.value) return stop()
  speaking.value = true
  error.value = ''
  try {
    for (const line of [name, ...lines, wins]) {
      const spoken = await props.speak!(line)
      if (!speaking.value) break
      sound = playWav(spoken.wav)
      await sound.over
      if (!speaking.value) break
    }
  } catch (failure) {
    error.value = toldOf(failure)
  }
  speaking.value = false
}
</script>

<template>
  <GameRules v-slot="{ rules }" :game="game" class="mt-7 text-lg">
    <button
      v-if="speak"
      type="button"
      class="mt-4 min-h-11 rounded border border-ink bg-sheet px-4 py-2 font-bold"
      :aria-pressed="speaking"
      @click="toggle(rules)"
    >
      {{ speaking ? t('stop_reading') : atTheDoor('read_aloud') }}
    </button>
    <p v-if="error" role="alert" class="mt-2 text-wrong">{{ error }}</p>
  </GameRules>
</template>
