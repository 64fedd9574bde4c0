<script setup lang="ts">
/** What was forgiven in a question, what was put right after it, and its key where it has none yet. */
import { computed } from 'vue'
import { counted } from '@/composables/format'
import type { QuestionReport, StudentAnswer } from '@/api/types'
import { viewsOf } from '@/questions/registry'
import UiButton from '@/ui/UiButton.vue'
import { useCorrections } from './useCorrections'

const props = defineProps<{ question: QuestionReport }>()
const { busy, command } = useCorrections()

const corrected = computed(() => props.question.corrected.at(-1) ?? null)
const done = computed(() =>
  props.question.corrected
    .map((one) => (one.what === 'counts' ? `“${one.text}” counts` : `“${one.text}” is counted apart`))
    .join(', '),
)
const nameOf = (key: StudentAnswer): string => viewsOf(key).nameOf?.(key) ?? ''
const setKey = (answer: StudentAnswer): Promise<void> =>
  command({ do: 'set_key', item: props.question.item, answer })
</script>

<template>
  <p v-if="question.note && question.scored" class="mt-1.5">{{ question.note }}</p>
  <p v-if="question.keys.length" class="mt-1 flex flex-wrap items-center gap-1.5">
    <span class="text-slate">{{ question.scored ? 'Something else is right:' : 'Say what is right:' }}</span>
    <UiButton
      v-for="key in question.keys"
      :key="nameOf(key)"
      look="plain"
      size="small"
      :disabled="busy"
      @click="setKey(key)"
      >{{ nameOf(key) }}</UiButton
    >
  </p>
  <div v-if="question.forgiven.length" class="mt-2 border-t border-rule pt-1.5">
    <p class="text-slate">Forgiven</p>
    <ul>
      <li v-for="one in question.forgiven" :key="one.sentence" dir="auto">
        {{ one.sentence }}<template v-if="one.count > 1"> ({{ counted(one.count, 'answer') }})</template>
      </li>
    </ul>
  </div>
  <p v-if="corrected" class="mt-2 flex flex-wrap items-baseline gap-x-3 border-t border-rule pt-1.5">
    <span>Put right after it was asked: {{ done }}.</span>
    <UiButton
      look="quiet"
      size="small"
      :disabled="busy"
      @click="command({ do: 'take_back', item: question.item })"
      >Take back “{{ corrected.text }}”</UiButton
    >
  </p>
</template>
