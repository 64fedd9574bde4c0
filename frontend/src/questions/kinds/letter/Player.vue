<script setup lang="ts">
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { choiceCard, chosenCard } from '@/questions/shared/recipes'
import { ALL } from './letters'
import { t } from './words'
import { language } from '@/words'

defineProps<{
  item: PublicItemOf<'letter'>
  answer: StudentAnswerOf<'letter'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'letter'> | null] }>()
</script>

<template>
  <fieldset :disabled="disabled" class="space-y-2.5">
    <legend class="sr-only" :lang="language" dir="auto">{{ t('choose') }}</legend>
    <label
      v-for="letter in ALL.slice(0, item.letters)"
      :key="letter"
      class="figure flex min-h-14 items-center justify-center text-2xl"
      :class="[choiceCard, answer?.letter === letter ? chosenCard : 'border-edge bg-sheet']"
    >
      <input
        type="radio"
        class="sr-only"
        :name="item.id"
        :checked="answer?.letter === letter"
        @change="emit('update', { kind: 'letter', letter })"
      />{{ letter }}
    </label>
  </fieldset>
</template>
