<script setup lang="ts">
/** Which sessions count, how much, and how totals are made of them. */
import type { BookDetail, GradeScheme } from '@/api/types'
import { dateOf } from '@/composables/format'
import { smallField } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ scheme: GradeScheme; sessions: BookDetail['sessions'] }>()
const emit = defineEmits<{ change: [changes: Partial<GradeScheme>] }>()

const weightOf = (session: number): number | null =>
  props.scheme.columns.find((column) => column.session === session)?.weight ?? null

/** In the order of the sessions, whatever was put in first. */
function put(session: number, weight: number | null): void {
  const weights = new Map(props.scheme.columns.map((column) => [column.session, column.weight]))
  if (weight === null) weights.delete(session)
  else weights.set(session, Math.min(100, Math.max(0, weight)))
  const columns = props.sessions
    .filter((one) => weights.has(one.id))
    .map((one) => ({ session: one.id, weight: weights.get(one.id)! }))
  emit('change', { columns })
}
const valueOf = (event: Event): string => (event.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4.5 py-3.5" aria-labelledby="made-of">
    <h2 id="made-of" class="text-lg">{{ t('what_counts') }}</h2>
    <ul
      class="mt-1 max-h-72 overflow-y-auto border-y border-rule"
      tabindex="0"
      :aria-label="t('sessions_and_how_much_they_weigh')"
    >
      <li v-for="one in sessions" :key="one.id" class="flex items-center gap-2 py-1">
        <label class="flex min-w-0 grow items-center gap-2"
          ><input
            type="checkbox"
            class="size-4 shrink-0 accent-tide"
            :checked="weightOf(one.id) !== null"
            @change="put(one.id, weightOf(one.id) === null ? 1 : null)"
          />
          <span class="min-w-0 text-[15px]"
            ><span class="line-clamp-1 wrap-anywhere">{{ one.title || common('untitled_set') }}</span
            ><span class="text-slate">{{ dateOf(one.created_at) }}</span></span
          ></label
        >
        <label v-if="weightOf(one.id) !== null" class="text-[15px] whitespace-nowrap text-slate"
          >×
          <input
            type="number"
            min="0"
            max="100"
            step="0.5"
            :value="weightOf(one.id)"
            :aria-label="t('weight_of', { title: one.title })"
            :class="smallField"
            class="w-16"
            @change="put(one.id, Number(valueOf($event)) || 0)"
        /></label>
      </li>
    </ul>
    <p class="mt-3 space-y-2 text-[15px]">
      <label class="flex items-center justify-between gap-3"
        >{{ t('lowest_left_out') }}
        <input
          type="number"
          min="0"
          max="20"
          :value="scheme.drop_lowest"
          :class="smallField"
          class="w-16"
          @change="
            emit('change', { drop_lowest: Math.min(20, Math.max(0, Math.round(Number(valueOf($event))))) })
          "
      /></label>
      <label class="flex items-center justify-between gap-3"
        >{{ t('not_there') }}
        <select
          :value="scheme.missed"
          :class="smallField"
          @change="emit('change', { missed: valueOf($event) as GradeScheme['missed'] })"
        >
          <option value="left_out">{{ t('does_not_count') }}</option>
          <option value="zero">{{ t('counts_0') }}</option>
        </select>
      </label>
      <label class="flex items-center justify-between gap-3"
        >{{ t('rounded_to') }}
        <select
          :value="scheme.step"
          :class="smallField"
          @change="emit('change', { step: valueOf($event) as GradeScheme['step'] })"
        >
          <option value="none">{{ t('not_at_all') }}</option>
          <option value="0.1">{{ t('in_percent', { figure: 0.1 }) }}</option>
          <option value="0.5">{{ t('in_percent', { figure: 0.5 }) }}</option>
          <option value="1">{{ t('in_percent', { figure: 1 }) }}</option>
          <option value="5">{{ t('in_percent', { figure: 5 }) }}</option>
        </select>
      </label>
      <label v-if="scheme.step !== 'none'" class="flex items-center justify-between gap-3"
        >{{ t('halves') }}
        <select
          :value="scheme.rounding"
          :class="smallField"
          @change="emit('change', { rounding: valueOf($event) as GradeScheme['rounding'] })"
        >
          <option value="half_up">{{ t('up') }}</option>
          <option value="up">{{ t('all_up') }}</option>
          <option value="down">{{ t('all_down') }}</option>
        </select>
      </label>
    </p>
  </section>
</template>
