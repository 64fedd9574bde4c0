<script setup lang="ts">
import { computed } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { choiceCard, chosenCard } from '@/questions/shared/recipes'

const props = defineProps<{
  item: PublicItemOf<'rating_scale'>
  answer: StudentAnswerOf<'rating_scale'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'rating_scale'> | null] }>()

const chosen = computed(() => new Map(props.answer?.ratings.map((one) => [one.statement, one.step])))

function rate(statement: string, step: number): void {
  const next = new Map(chosen.value).set(statement, step)
  emit('update', {
    kind: 'rating_scale',
    ratings: [...next].map(([one, at]) => ({ statement: one, step: at })),
  })
}

function nameOf(step: number): string {
  if (step === 1) return `1, ${props.item.low_label}`
  return step === props.item.steps ? `${step}, ${props.item.high_label}` : String(step)
}
</script>

<template>
  <div class="space-y-5">
    <fieldset v-for="(statement, at) in item.statements" :key="statement.id" :disabled="disabled">
      <legend
        :data-read="statement.id"
        class="prose mb-1.5 text-lg leading-snug font-bold"
        dir="auto"
        v-html="statement.html"
      />
      <div class="flex flex-wrap gap-1.5">
        <label
          v-for="step in item.steps"
          :key="step"
          class="figure flex min-h-12 min-w-11 flex-1 items-center justify-center text-lg"
          :class="[choiceCard, chosen.get(statement.id) === step ? chosenCard : 'border-edge bg-sheet']"
        >
          <input
            type="radio"
            class="sr-only"
            :name="`${item.id}-${statement.id}`"
            :aria-label="nameOf(step)"
            :checked="chosen.get(statement.id) === step"
            @change="rate(statement.id, step)"
          />{{ step }}</label
        >
      </div>
      <div class="mt-1 flex justify-between gap-4 text-[15px] text-slate" aria-hidden="true">
        <span :data-read="at ? undefined : 'low'" dir="auto">{{ item.low_label }}</span><span
          :data-read="at ? undefined : 'high'"
          dir="auto"
          >{{ item.high_label }}</span
        >
      </div>
    </fieldset>
  </div>
</template>
