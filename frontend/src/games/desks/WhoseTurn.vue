<script setup lang="ts">
/** Whose turn it is, said by hand. */
import { smallField } from '@/ui/recipes'
import { teamName } from '../shared/teams/teams'
import { t } from './words'

defineProps<{ turn: number; teams: readonly { number: number }[] }>()
const emit = defineEmits<{ turn: [team: number] }>()
</script>

<template>
  <label class="mt-2 flex w-fit items-center gap-2 text-[15px]"
    >{{ t('whose_turn_it_is') }}
    <select
      :class="smallField"
      :value="turn"
      @change="emit('turn', Number(($event.target as HTMLSelectElement).value))"
    >
      <option v-for="team in teams" :key="team.number" :value="team.number">
        {{ teamName(team.number) }}
      </option>
    </select>
  </label>
</template>
