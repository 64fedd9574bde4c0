<script setup lang="ts">
/** An item's settings and what can be done with it, on its own last line. */
import { computed } from 'vue'
import type { Item, ItemProblem, Kind } from '@/api/types'
import { duration } from '@/composables/format'
import { KINDS, viewsOf } from '@/questions/registry'
import { editingOf } from '@/questions/editing'
import EditingView from '@/questions/editing/EditingView.vue'
import ChipMenu from '@/ui/ChipMenu.vue'
import KindMenu from './KindMenu.vue'
import TagsField from './TagsField.vue'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

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
  label: value === null ? t('no_time_limit') : duration(value),
}))
const WEIGHTS = [
  { value: 1, label: t('counts_once') },
  { value: 2, label: t('counts_twice') },
  { value: 0, label: t('counts_for_nothing') },
] as const
const SCORED = [
  { value: true, label: t('scored') },
  { value: false, label: t('opinion') },
] as const

const question = computed(() => (viewsOf(props.item).isAsked ? (props.item as Question) : null))
const set = (change: Partial<Question>): void => emit('update', { ...props.item, ...change } as Item)
const action = 'rounded px-2 py-1 hover:underline disabled:opacity-40'
</script>

<template>
  <div class="mt-2 flex flex-wrap items-center gap-2 ps-1.5">
    <EditingView :kind="item.kind" part="chips" :item="item" @update="emit('update', $event)" />
    <template v-if="question">
      <span v-if="editingOf(item).isOpinionOnly" class="text-sm text-slate">{{
        'by_hand' in item && item.by_hand ? t('marked_by_hand') : t('no_right_answer')
      }}</span>
      <ChipMenu
        v-else
        :label="t('scored_or_opinion')"
        :choices="SCORED"
        :value="question.scored ?? true"
        @choose="set({ scored: $event })"
      />
      <ChipMenu
        :label="t('time_limit')"
        :choices="TIMES"
        :value="question.time_limit ?? null"
        :text="question.time_limit ? duration(question.time_limit) : t('no_time_limit')"
        @choose="set({ time_limit: $event })"
      />
      <ChipMenu
        v-if="question.scored"
        :label="t('weight')"
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
      ><span aria-hidden="true">⚠</span> {{ told(problem) }}</span
    >
  </div>
  <div v-if="active" class="mt-2 flex flex-wrap items-center gap-x-2 text-[15px] font-bold text-tide">
    <button v-if="canExplain" type="button" :class="action" @click="emit('explain')">
      {{ t('explanation') }}
    </button>
    <button v-if="canTry" type="button" :class="action" :aria-expanded="trying" @click="emit('try')">
      {{ t('would_this_count') }}
    </button>
    <button type="button" :class="action" :title="t('ctrl_d_2')" @click="emit('duplicate')">
      {{ t('duplicate_2') }}
    </button>
    <button type="button" :class="action" title="Alt+↑" :disabled="first" @click="emit('move', -1)">
      {{ t('move_up') }}
    </button>
    <button type="button" :class="action" title="Alt+↓" :disabled="last" @click="emit('move', 1)">
      {{ t('move_down') }}
    </button>
    <KindMenu
      :label="t('turn_into')"
      :kinds="KINDS.filter((kind) => kind !== item.kind)"
      small
      @choose="emit('turn', $event)"
    />
    <button type="button" :class="action" @click="emit('remove')">{{ common('remove') }}</button>
    <TagsField
      class="ms-auto"
      :label="t('topics_of_this_question')"
      :tags="item.tags ?? []"
      @update="emit('update', { ...item, tags: $event })"
    />
  </div>
</template>
