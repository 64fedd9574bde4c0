<script setup lang="ts">
/** An item's settings and what can be done with it, on its own last line. */
import { computed } from 'vue'
import type { Item, ItemProblem, Kind } from '@/api/types'
import { duration } from '@/composables/format'
import { KINDS, viewsOf } from '@/questions/registry'
import AsyncView from '@/questions/shared/AsyncView.vue'
import ChipMenu from '@/ui/ChipMenu.vue'
import KindMenu from './KindMenu.vue'
import TagsField from './TagsField.vue'

type Question = Extract<Item, { weight?: unknown }>

const props = defineProps<{
  item: Item
  problems: ItemProblem['problem'][]
  active: boolean
  first: boolean
  last: boolean
  canExplain: boolean
  /** Its answers are typed: it can be tried what would count. */
  canTry: boolean
  trying: boolean
}>()
const emit = defineEmits<{
  update: [item: Item]
  explain: []
  try: []
  duplicate: []
  move: [offset: number]
  turn: [into: Kind]
  remove: []
}>()

const TIMES = [null, 5, 10, 15, 20, 30, 45, 60, 90, 120, 180, 300, 600, 900, 1200].map((value) => ({
  value,
  label: value === null ? 'no time limit' : duration(value),
}))
const WEIGHTS = [
  { value: 1, label: 'counts once' },
  { value: 2, label: 'counts twice' },
  { value: 0, label: 'counts for nothing' },
] as const
const SCORED = [
  { value: true, label: 'scored' },
  { value: false, label: 'opinion' },
] as const

const question = computed(() => (viewsOf(props.item).isAsked ? (props.item as Question) : null))
const set = (change: Partial<Question>): void => emit('update', { ...props.item, ...change } as Item)
const action = 'rounded px-2 py-1 hover:underline disabled:opacity-40'
</script>

<template>
  <div class="mt-2 flex flex-wrap items-center gap-2 pl-1.5">
    <AsyncView :kind="item.kind" part="chips" :item="item" @update="emit('update', $event)" />
    <template v-if="question">
      <span v-if="viewsOf(item).isOpinionOnly" class="text-sm text-slate">{{
        'by_hand' in item && item.by_hand ? 'marked by hand' : 'no right answer'
      }}</span>
      <ChipMenu
        v-else
        label="Scored or opinion"
        :choices="SCORED"
        :value="question.scored ?? true"
        @choose="set({ scored: $event })"
      />
      <ChipMenu
        label="Time limit"
        :choices="TIMES"
        :value="question.time_limit ?? null"
        :text="question.time_limit ? duration(question.time_limit) : 'no time limit'"
        @choose="set({ time_limit: $event })"
      />
      <ChipMenu
        v-if="question.scored"
        label="Weight"
        :choices="WEIGHTS"
        :value="question.weight ?? 1"
        @choose="set({ weight: $event })"
      />
    </template>
    <span
      v-for="problem in problems"
      :key="problem.field + problem.sentence"
      class="inline-flex min-h-7 items-center gap-1 rounded border px-2 text-sm"
      :class="
        problem.severity === 'wrong'
          ? 'border-wrong text-wrong'
          : 'border-lamp-ink bg-lamp-wash text-lamp-ink'
      "
      ><span aria-hidden="true">⚠</span> {{ problem.sentence }}</span
    >
  </div>
  <div v-if="active" class="mt-2 flex flex-wrap items-center gap-x-2 text-[15px] font-bold text-tide">
    <button v-if="canExplain" type="button" :class="action" @click="emit('explain')">Explanation</button>
    <button v-if="canTry" type="button" :class="action" :aria-expanded="trying" @click="emit('try')">
      Would this count?
    </button>
    <button type="button" :class="action" title="Ctrl+D" @click="emit('duplicate')">Duplicate</button>
    <button type="button" :class="action" title="Alt+↑" :disabled="first" @click="emit('move', -1)">
      Move up
    </button>
    <button type="button" :class="action" title="Alt+↓" :disabled="last" @click="emit('move', 1)">
      Move down
    </button>
    <KindMenu
      label="Turn into…"
      :kinds="KINDS.filter((kind) => kind !== item.kind)"
      small
      @choose="emit('turn', $event)"
    />
    <button type="button" :class="action" @click="emit('remove')">Remove</button>
    <TagsField
      class="ml-auto"
      label="Topics of this question"
      :tags="item.tags ?? []"
      @update="emit('update', { ...item, tags: $event })"
    />
  </div>
</template>
