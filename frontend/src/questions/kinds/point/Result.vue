<script setup lang="ts">
/** All points on the picture; with the key the right areas in the light. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import Board from './Board.vue'

const props = defineProps<{
  item: PublicItemOf<'point'>
  tally?: TallyOf<'point'> | null
  answerKey?: KeyOf<'point'> | null
  mine?: StudentAnswerOf<'point'> | null
}>()

const named = computed(() => props.answerKey?.areas.map((area) => area.name).filter(Boolean) ?? [])
const chosenName = computed(() => props.item.names.find((place) => place.id === props.mine?.area)?.name)
</script>

<template>
  <div>
    <Board
      v-if="item.picture"
      :picture="item.picture"
      :areas="answerKey?.areas ?? []"
      :points="tally?.points ?? []"
      :mark="mine?.spot ?? null"
    />
    <p v-if="answerKey" class="mt-[0.5em]">
      <span aria-hidden="true">✓</span> <b>right:</b>
      {{ named.length ? named.join(', ') : 'the area in the light' }}
    </p>
    <p v-else-if="!tally && !mine" class="mt-[0.4em] text-soft">Point at the picture.</p>
    <p v-if="chosenName" class="mt-[0.3em]">Your answer: {{ chosenName }}</p>
  </div>
</template>
