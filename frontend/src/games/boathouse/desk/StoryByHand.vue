<script setup lang="ts">
/** The teacher's own story: before it begins, lock by lock, and when all are open. */
import { computed, ref } from 'vue'
import type { GameOf, Planned } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import { field, smallField } from '@/ui/recipes'
import { lockName } from '../locks'
import { t } from './words'

const props = defineProps<{ plan: Planned }>()
const game = defineModel<GameOf<'boathouse'>>({ required: true })
const LONGEST_STORY = 600
const LONGEST_HINT = 200

const hasStory = computed(
  () =>
    !!game.value.intro || !!game.value.ending || !!game.value.stages?.some((one) => one.story || one.hint),
)
const isOpen = ref(hasStory.value)
const locks = computed(() =>
  (props.plan.layout ?? []).map((lock, index) => ({
    name: lockName(index + 1),
    asks: lock.questions.map((one) => one.number ?? '–').join(', '),
    story: game.value.stages?.[index]?.story ?? '',
    hint: game.value.stages?.[index]?.hint ?? '',
  })),
)
function write(index: number, change: { story?: string; hint?: string }): void {
  const stages = Array.from(
    { length: Math.max(locks.value.length, game.value.stages?.length ?? 0) },
    (_, at) => ({
      story: game.value.stages?.[at]?.story ?? '',
      hint: game.value.stages?.[at]?.hint ?? '',
    }),
  )
  stages[index] = { ...stages[index]!, ...change }
  game.value = { ...game.value, stages }
}
const textOf = (event: Event): string => (event.target as HTMLInputElement | HTMLTextAreaElement).value
</script>

<template>
  <UiButton v-if="!isOpen" size="small" @click="isOpen = true">{{ t('write_a_story') }}</UiButton>
  <div v-else class="space-y-3">
    <label class="block"
      ><span class="font-bold">{{ t('before_it_begins') }}</span>
      <textarea
        rows="2"
        :class="field"
        :maxlength="LONGEST_STORY"
        :value="game.intro"
        :placeholder="t('why_the_boat')"
        @input="game = { ...game, intro: textOf($event) }"
      />
    </label>
    <fieldset
      v-for="(lock, index) in locks"
      :key="index"
      class="min-w-0 space-y-1.5 rounded border border-rule px-3 py-2"
    >
      <legend class="px-1 font-bold">{{ index + 1 }} · {{ lock.name }}</legend>
      <p class="text-slate">{{ t('opened_by_questions', { asks: lock.asks }) }}</p>
      <textarea
        rows="2"
        :class="field"
        :maxlength="LONGEST_STORY"
        :value="lock.story"
        :aria-label="t('story_at_lock', { number: index + 1 })"
        :placeholder="t('what_one_finds_here')"
        @input="write(index, { story: textOf($event) })"
      />
      <input
        :class="smallField"
        class="w-full"
        :maxlength="LONGEST_HINT"
        :value="lock.hint"
        :aria-label="t('hint_at_lock', { number: index + 1 })"
        :placeholder="t('a_hint_for_1_lantern')"
        @input="write(index, { hint: textOf($event) })"
      />
    </fieldset>
    <label class="block"
      ><span class="font-bold">{{ t('when_all_are_open') }}</span>
      <textarea
        rows="2"
        :class="field"
        :maxlength="LONGEST_STORY"
        :value="game.ending"
        @input="game = { ...game, ending: textOf($event) }"
      />
    </label>
  </div>
</template>
