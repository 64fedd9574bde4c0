<script setup lang="ts">
/** What is in the set, and what has still to be settled before it can run. */
import { computed } from 'vue'
import LineText from '@/questions/shared/LineText.vue'
import { plainText } from '@/questions/shared/richtext'
import UiButton from '@/ui/UiButton.vue'
import type { SetEditor } from './useSetEditor'

const props = defineProps<{
  editor: SetEditor
  numbers: (number | null)[]
  active: string
  /** Questions that are being written for the first time. */
  fresh: ReadonlySet<string>
}>()
const emit = defineEmits<{
  go: [id: string, field?: string]
  run: []
  revisions: []
  text: []
  recast: []
  grid: []
}>()

const items = computed(() =>
  props.editor.draft.value.items.map((item, index) => ({
    id: item.id,
    number: props.numbers[index] ?? '–',
    title:
      plainText((item.prompt ?? '').split('\n')[0]!) ||
      (props.numbers[index] ? 'Empty question' : 'Empty page'),
  })),
)
const toSettle = computed(() =>
  props.editor.problems.value
    .map(({ item, problem }) => ({
      ...problem,
      item,
      number: items.value.find((one) => one.id === item)?.number,
    }))
    .filter((one) => one.number !== undefined),
)
const toSay = computed(() => toSettle.value.filter((one) => !props.fresh.has(one.item)))
const isBlocked = computed(
  () => toSettle.value.some((one) => one.severity === 'wrong') || !items.value.length,
)
const row = 'flex w-full gap-3 rounded px-2 py-1 text-left text-[15px] leading-snug'
</script>

<template>
  <aside
    aria-label="About this set"
    class="border-t border-rule bg-sheet px-4 py-5 lg:border-t-0 lg:border-l"
  >
    <div class="lg:sticky lg:top-5">
      <div class="flex flex-wrap gap-2">
        <UiButton look="main" :disabled="isBlocked" @click="emit('run')">Run it…</UiButton>
        <UiButton :disabled="!editor.canUndo.value" title="Ctrl+Z" aria-label="Undo" @click="editor.undo"
          >↶</UiButton
        >
        <UiButton
          :disabled="!editor.canRedo.value"
          title="Ctrl+Shift+Z"
          aria-label="Redo"
          @click="editor.redo"
          >↷</UiButton
        >
      </div>
      <div class="mt-3 flex flex-wrap gap-x-4 gap-y-1 px-2 text-[15px] font-bold text-tide">
        <RouterLink v-if="items.length" :to="`${$route.path}/try`" class="hover:underline"
          >Try it as a student</RouterLink
        >
        <RouterLink
          :to="{ path: '/bring-in', query: { into: $route.params.id as string } }"
          class="hover:underline"
          >Bring questions in</RouterLink
        >
        <button type="button" class="hover:underline" @click="emit('revisions')">Earlier versions</button>
        <button type="button" class="hover:underline" title="Ctrl+E" @click="emit('text')">As text</button>
        <button v-if="items.length" type="button" class="hover:underline" @click="emit('recast')">
          Make other questions of these
        </button>
        <button v-if="items.length" type="button" class="hover:underline" @click="emit('grid')">
          Crossword, word search
        </button>
      </div>
      <h2 class="mt-5 mb-2 px-2 text-base">In this set</h2>
      <p v-if="!items.length" class="px-2 text-[15px] text-slate">No items yet.</p>
      <ol>
        <li v-for="item in items" :key="item.id">
          <button
            type="button"
            :class="[row, active === item.id ? 'bg-tide-wash' : 'hover:bg-fog']"
            :aria-current="active === item.id || undefined"
            @click="emit('go', item.id)"
          >
            <span class="w-5 shrink-0 text-right font-bold text-slate">{{ item.number }}</span>
            <LineText class="truncate" :text="item.title" />
          </button>
        </li>
      </ol>
      <template v-if="items.length">
        <h2 class="mt-5 mb-2 px-2 text-base">To settle before running</h2>
        <p v-if="!toSay.length" class="px-2 text-[15px] text-slate">
          {{ isBlocked ? 'Only what you are writing just now.' : 'Nothing. It can run as it is.' }}
        </p>
        <ul aria-live="polite">
          <li v-for="problem in toSay" :key="problem.item + problem.field + problem.sentence">
            <button
              type="button"
              :class="[row, 'hover:bg-fog', problem.severity === 'wrong' ? 'text-wrong' : 'text-lamp-ink']"
              @click="emit('go', problem.item, problem.field)"
            >
              <span class="w-5 shrink-0 text-right font-bold">{{ problem.number }}</span>
              <span>{{ problem.sentence }}</span>
            </button>
          </li>
        </ul>
        <h2 class="mt-5 mb-2 px-2 text-base">Keys</h2>
        <dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 px-2 text-sm text-slate">
          <dt>Enter</dt>
          <dd>next line</dd>
          <dt>Ctrl Enter</dt>
          <dd>next question</dd>
          <dt>Ctrl D</dt>
          <dd>duplicate</dd>
          <dt>Ctrl E</dt>
          <dd>the set as text</dd>
          <dt>Alt ↑ ↓</dt>
          <dd>move</dd>
          <dt>Ctrl B, I</dt>
          <dd>bold, italic</dd>
        </dl>
      </template>
    </div>
  </aside>
</template>
