<script setup lang="ts">
/** A player's own team, before it begins; where players choose, out of which. */
import { computed } from 'vue'
import type { GameMove } from '@/api/types'
import { teamName } from './teams'
import { t } from './words'

const props = defineProps<{
  team: number | null
  /** Out of how many one may choose now. */
  choices: number
}>()
const emit = defineEmits<{ move: [move: GameMove] }>()
const name = computed(() => (props.team ? teamName(props.team) : ''))
</script>

<template>
  <div class="mt-5">
    <p v-if="team" class="text-xl font-bold" role="status">{{ t('your_team', { name }) }}</p>
    <p v-else-if="!choices" class="text-lg">{{ t('no_team') }}</p>
    <fieldset v-if="choices" class="mt-3">
      <legend class="mb-2 font-bold">{{ t('choose') }}</legend>
      <div class="grid grid-cols-2 gap-2">
        <button
          v-for="number in choices"
          :key="number"
          type="button"
          class="min-h-11 rounded border px-3 py-2 text-start"
          :class="team === number ? 'border-2 border-tide bg-sheet font-bold' : 'border-ink bg-sheet'"
          :aria-pressed="team === number"
          @click="emit('move', { move: 'join_team', team: number })"
        >
          <span v-if="team === number" aria-hidden="true">✓ </span>{{ teamName(number) }}
        </button>
      </div>
    </fieldset>
  </div>
</template>
