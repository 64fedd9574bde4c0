<script setup lang="ts">
/** Open responses marked in one sitting, question by question, those that say the same together. */
import { useTitle } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { sentenceOf } from '@/told'
import { useKeys } from '@/composables/useKeys'
import LineText from '@/questions/shared/LineText.vue'
import RubricLines from '@/questions/editing/RubricLines.vue'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import MarkButtons from './MarkButtons.vue'
import MarkingProgress from './MarkingProgress.vue'
import { namesShown } from './useReportView'
import { useMarking } from './useMarking'
import { t } from './words'
import { t as common } from '@/ui/words'

const session = Number(useRoute().params.id)
const { sheet, error, question, group, questions, current, answers, done, canUndo, ...marking } =
  useMarking(session)
useTitle(t('marking_by_hand_tall_lantern'))
const comment = ref('')
const commentField = ref<HTMLTextAreaElement>()
const editsRubric = ref(false)

watch(
  answers,
  (alike) => {
    const said = new Set(alike?.answers.map((one) => one.comment))
    comment.value = said.size === 1 ? [...said][0]! : ''
  },
  { immediate: true },
)
const texts = computed(() => {
  const found = new Map<string, string[]>()
  for (const one of answers.value?.answers ?? [])
    found.set(one.text, [
      ...(found.get(one.text) ?? []),
      namesShown.value ? one.name : t('seat', { seat: one.seat }),
    ])
  return [...found].map(([text, who]) => ({ text, who }))
})
const given = computed(() => answers.value?.answers[0])

async function writeComment(): Promise<void> {
  await nextTick()
  commentField.value?.focus()
}
async function keepComment(): Promise<void> {
  if (comment.value !== (given.value?.comment ?? '')) await marking.comment(comment.value)
}

useKeys({
  ArrowDown: () => marking.step(1),
  ArrowUp: () => marking.step(-1),
  u: () => void marking.undo(),
  c: () => void writeComment(),
  n: () => (namesShown.value = !namesShown.value),
})
const kbd = 'rounded-sm border border-current px-1.5 font-text text-xs'
</script>

<template>
  <div class="mx-auto max-w-[80rem] px-6 py-6">
    <div class="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl">{{ t('marking_by_hand') }}</h1>
      <RouterLink :to="`/sessions/${session}`" class="font-bold text-tide hover:underline">{{
        t('all_of_the_session')
      }}</RouterLink>
      <label class="ms-auto flex items-center gap-1.5 text-[15px] text-slate"
        ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />{{ t('names') }}
        <kbd :class="kbd" aria-hidden="true">N</kbd></label
      >
      <UiButton :disabled="!canUndo" hint="U" @click="marking.undo()">{{ common('undo') }}</UiButton>
    </div>
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!sheet" class="text-slate">{{ t('fetching_the_answers') }}</p>
    <EmptyNote v-else-if="!questions.length" :title="t('nothing_to_mark_by_hand')">
      {{ t('answers_in_ones_own_words') }}
    </EmptyNote>
    <div v-else class="grid items-start gap-6 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <MarkingProgress :questions="questions" :at="question" :done="done" @go="marking.goTo([$event, 0])" />
      <section v-if="current" class="rounded border border-rule bg-sheet px-5 py-4" aria-labelledby="asked">
        <h2 id="asked" class="text-xl wrap-anywhere">
          {{ current.number }} <LineText :text="current.title || common('asked_aloud')" />
        </h2>
        <p v-if="!current.wanted" class="mt-1 text-[15px] text-slate">
          {{ t('it_was_asked_without_marks') }}
        </p>
        <details class="mt-2 text-[15px]" @toggle="editsRubric = ($event.target as HTMLDetailsElement).open">
          <summary class="text-tide">
            {{ current.rubric.length ? t('change_the_rubric') : t('mark_by_a_rubric') }}
          </summary>
          <RubricLines
            v-if="editsRubric"
            :key="current.item"
            :rubric="current.rubric"
            class="mt-2"
            @update="marking.setRubric($event)"
          />
        </details>
        <template v-if="answers">
          <p class="mt-4 border-t border-rule pt-3 text-[15px] text-slate" role="status">
            {{
              t('group_of', {
                group: group + 1,
                all: current.groups.length,
                answer:
                  answers.answers.length > 1
                    ? t('answers_that_say_the_same', { n: answers.answers.length })
                    : t('one_answer'),
              })
            }}
          </p>
          <ul class="mt-2 space-y-2">
            <li v-for="one in texts" :key="one.text">
              <p class="text-lg wrap-anywhere whitespace-pre-line" dir="auto">{{ one.text }}</p>
              <p class="text-sm text-slate">{{ one.who.join(', ') }}</p>
            </li>
          </ul>
          <MarkButtons
            :key="`${current.item}-${group}`"
            :rubric="current.rubric"
            :mark="given?.mark ?? null"
            :met="given?.met ?? []"
            class="mt-4"
            @mark="marking.mark({ mark: $event, lines: null })"
            @lines="marking.mark({ mark: null, lines: $event })"
          />
          <label class="mt-4 block text-[15px] text-slate"
            >{{ t('comment') }} <kbd :class="kbd" aria-hidden="true">C</kbd>
            <textarea
              ref="commentField"
              v-model="comment"
              rows="2"
              maxlength="1000"
              dir="auto"
              class="mt-1 block w-full rounded border border-edge bg-sheet px-3 py-2 text-ink"
              :placeholder="t('stands_on_the_students_page')"
              @blur="keepComment"
              @keydown.esc="commentField?.blur()"
            />
          </label>
          <p class="mt-3 flex gap-3">
            <UiButton size="small" :disabled="group === 0" hint="↑" @click="marking.step(-1)">{{
              t('before')
            }}</UiButton>
            <UiButton
              size="small"
              :disabled="group + 1 >= current.groups.length"
              hint="↓"
              @click="marking.step(1)"
              >{{ t('after') }}</UiButton
            >
          </p>
        </template>
        <p v-else class="mt-4 text-slate">{{ t('nobody_answered_this_question') }}</p>
      </section>
    </div>
  </div>
</template>
