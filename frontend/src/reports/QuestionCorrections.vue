<script setup lang="ts">
/** What was forgiven in a question, what can be put right, and what was: by whom and when, the last with its undo. */
import { computed } from 'vue'
import { momentOf } from '@/composables/format'
import type { QuestionReport, StudentAnswer } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import { useCorrections } from './useCorrections'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const props = defineProps<{ question: QuestionReport }>()
const { busy, command, propose } = useCorrections()

const done = computed(() =>
  props.question.corrected.map((one, index, all) => ({
    text: told(one.sentence),
    when: [momentOf(one.at), one.by].filter(Boolean).join(', '),
    isLast: index === all.length - 1,
  })),
)
const is = (what: QuestionReport['corrected'][number]['what']): boolean =>
  props.question.corrected.some((one) => one.what === what)
const isScored = computed(() => props.question.scored && !is('dropped'))
const item = computed(() => props.question.item)
const step = 'min-h-6 text-sm font-bold text-tide hover:underline disabled:text-slate'
const setKey = (answer: StudentAnswer): Promise<void> => propose({ do: 'set_key', item: item.value, answer })
</script>

<template>
  <p v-if="question.note && question.scored" class="mt-1.5">{{ told(question.note) }}</p>
  <div v-if="question.forgiven.length" class="mt-2 border-t border-rule pt-1.5">
    <p class="text-slate">{{ t('forgiven') }}</p>
    <ul>
      <li v-for="one in question.forgiven" :key="one.what.sentence" dir="auto">
        {{ told(one.what)
        }}<template v-if="one.count > 1"> ({{ common('n_answers', { n: one.count }) }})</template>
      </li>
    </ul>
  </div>
  <div class="mt-2 space-y-1.5 border-t border-rule pt-1.5">
    <p v-if="question.keys.length" class="flex flex-wrap items-center gap-1.5">
      <span class="text-slate">{{
        question.scored ? t('something_else_is_right') : t('say_what_is_right')
      }}</span>
      <UiButton
        v-for="key in question.keys"
        :key="key.name"
        look="plain"
        size="small"
        :disabled="busy"
        @click="setKey(key.answer)"
        >{{ key.name }}</UiButton
      >
    </p>
    <p v-if="isScored" class="flex flex-wrap gap-x-5">
      <button
        v-if="!is('full_marks')"
        type="button"
        :class="step"
        :disabled="busy"
        @click="propose({ do: 'give_full_marks', item })"
      >
        {{ t('full_marks_for_all') }}
      </button>
      <button type="button" :class="step" :disabled="busy" @click="propose({ do: 'drop', item })">
        {{ t('leave_it_out_of_the_scores') }}
      </button>
    </p>
  </div>
  <div v-if="done.length || question.by_hand" class="mt-2 border-t border-rule pt-1.5">
    <p class="text-slate">{{ t('put_right_after_it_was_asked') }}</p>
    <ul>
      <li v-for="(one, index) in done" :key="index" class="flex flex-wrap items-baseline gap-x-3">
        <span dir="auto">{{ one.text }}</span>
        <span class="text-slate">{{ one.when }}</span>
        <button
          v-if="one.isLast"
          type="button"
          :class="step"
          :disabled="busy"
          :aria-label="t('take_back', { text: one.text })"
          @click="command({ do: 'take_back', item })"
        >
          {{ t('take_back_2') }}
        </button>
      </li>
      <li v-if="question.by_hand">{{ t('marks_by_hand', { n: question.by_hand }) }}</li>
    </ul>
  </div>
</template>
