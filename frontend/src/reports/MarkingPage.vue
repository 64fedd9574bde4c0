<script setup lang="ts">
/** Open responses marked in one sitting, question by question, those that say the same together. */
import { useTitle } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { sentenceOf } from '@/api/refusal'
import { counted } from '@/composables/format'
import { useKeys } from '@/composables/useKeys'
import LineText from '@/questions/shared/LineText.vue'
import RubricLines from '@/questions/shared/RubricLines.vue'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import MarkButtons from './MarkButtons.vue'
import MarkingProgress from './MarkingProgress.vue'
import { namesShown } from './useReportView'
import { useMarking } from './useMarking'

const session = Number(useRoute().params.id)
const { sheet, error, question, group, questions, current, answers, done, canUndo, ...marking } =
  useMarking(session)
useTitle('Marking by hand · Tall Lantern')
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
    found.set(one.text, [...(found.get(one.text) ?? []), namesShown.value ? one.name : `Seat ${one.seat}`])
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
      <h1 class="text-3xl">Marking by hand</h1>
      <RouterLink :to="`/sessions/${session}`" class="font-bold text-tide hover:underline"
        >All of the session</RouterLink
      >
      <label class="ms-auto flex items-center gap-1.5 text-[15px] text-slate"
        ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />Names
        <kbd :class="kbd" aria-hidden="true">N</kbd></label
      >
      <UiButton :disabled="!canUndo" hint="U" @click="marking.undo()">Undo</UiButton>
    </div>
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!sheet" class="text-slate">Fetching the answers…</p>
    <EmptyNote v-else-if="!questions.length" title="Nothing to mark by hand">
      Answers in one’s own words are marked here. No such question was asked in this session.
    </EmptyNote>
    <div v-else class="grid items-start gap-6 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <MarkingProgress :questions="questions" :at="question" :done="done" @go="marking.goTo([$event, 0])" />
      <section v-if="current" class="rounded border border-rule bg-sheet px-5 py-4" aria-labelledby="asked">
        <h2 id="asked" class="text-xl wrap-anywhere">
          {{ current.number }} <LineText :text="current.title" />
        </h2>
        <p v-if="!current.wanted" class="mt-1 text-[15px] text-slate">
          It was asked without marks. With the first mark that you give it counts.
        </p>
        <details class="mt-2 text-[15px]" @toggle="editsRubric = ($event.target as HTMLDetailsElement).open">
          <summary class="text-tide">
            {{ current.rubric.length ? 'Change the rubric' : 'Mark by a rubric' }}
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
            {{ group + 1 }} of {{ current.groups.length }} ·
            {{
              answers.answers.length > 1
                ? `${counted(answers.answers.length, 'answer')} that say the same`
                : '1 answer'
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
            >Comment <kbd :class="kbd" aria-hidden="true">C</kbd>
            <textarea
              ref="commentField"
              v-model="comment"
              rows="2"
              maxlength="1000"
              dir="auto"
              class="mt-1 block w-full rounded border border-edge bg-sheet px-3 py-2 text-ink"
              placeholder="Stands on the student’s page"
              @blur="keepComment"
              @keydown.esc="commentField?.blur()"
            />
          </label>
          <p class="mt-3 flex gap-3">
            <UiButton size="small" :disabled="group === 0" hint="↑" @click="marking.step(-1)"
              >Before</UiButton
            >
            <UiButton
              size="small"
              :disabled="group + 1 >= current.groups.length"
              hint="↓"
              @click="marking.step(1)"
              >After</UiButton
            >
          </p>
        </template>
        <p v-else class="mt-4 text-slate">Nobody answered this question.</p>
      </section>
    </div>
  </div>
</template>
