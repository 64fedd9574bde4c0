<script setup lang="ts">
/** All points on the picture; with the key the right areas in the light. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import Board from './Board.vue'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

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
    <p v-if="tally?.areas?.length" class="mt-[0.5em] flex flex-wrap gap-x-[1em] gap-y-[0.2em]">
      <span v-for="(area, index) in tally.areas" :key="area.id">
        <span :class="area.right && 'rounded bg-lamp px-[0.25em] font-bold text-ink'"
          ><span v-if="area.right" aria-hidden="true">✓ </span
          >{{ area.name || t('area_of', { number: index + 1 })
          }}<span v-if="area.right" class="sr-only" :lang="language"> ({{ common('right') }})</span></span
        >
        <span class="figure ms-[0.35em]">{{ area.count }}</span>
      </span>
      <span class="text-soft" :lang="language" dir="auto"
        >{{ t('elsewhere') }} <span class="figure">{{ tally.strays }}</span></span
      >
    </p>
    <p v-else-if="answerKey" class="mt-[0.5em]">
      <span aria-hidden="true">✓</span> <b :lang="language" dir="auto">{{ common('right_head') }}</b>
      {{ named.length ? named.join(', ') : t('area_lit') }}
    </p>
    <p v-else-if="!tally && !mine" class="mt-[0.4em] text-soft" :lang="language" dir="auto">
      {{ t('invite') }}
    </p>
    <p v-if="chosenName" class="mt-[0.3em]" :lang="language" dir="auto">
      {{ common('your_answer_is', { text: chosenName }) }}
    </p>
  </div>
</template>
