<script setup lang="ts">
/** One line of a list that comes in, and what becomes of it. */
import { computed } from 'vue'
import type { Member } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import { smallField } from '@/ui/recipes'
import { changesOf, type Line, type Outcome } from './useBringList'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const props = defineProps<{ line: Line; member: Member | null }>()
const emit = defineEmits<{
  decide: [same: boolean]
  rename: [on: boolean]
  out: [out: boolean]
  name: [name: string]
}>()
const renames = computed(() => props.line.found.changes.includes('name'))

const WORDS: Record<Outcome, string> = {
  new: t('is_new'),
  same: t('as_it_is'),
  changed: t('changed'),
  back: t('comes_back_2'),
  doubtful: t('doubtful'),
  twice: t('stands_above_already'),
  unread: t('cannot_be_kept_so'),
}
const FIELDS: Record<string, string> = {
  name: t('the_name'),
  sort_name: t('sorted_as'),
  record_id: t('record_id'),
  group: t('the_group'),
  keypads: t('the_keypads'),
  notes: t('the_notes'),
}
const form = computed(() => props.line.found.row.form)
const changes = computed(() =>
  changesOf(props.line).map((field) => ({
    label: FIELDS[field] ?? field,
    before: String(props.member?.[field as keyof Member] ?? ''),
    after: String(form.value[field as keyof typeof form.value] ?? ''),
  })),
)
const isDoubtful = computed(() => props.line.found.outcome === 'doubtful')
const word = computed(() => {
  if (props.line.out) return t('left_out')
  if (!isDoubtful.value || props.line.same === null) return WORDS[props.line.found.outcome]
  return props.line.same ? t('the_same_person') : t('is_new')
})
const isAsItWas = computed(() => !props.line.out && props.line.found.outcome === 'same')
/** Whom the list has already. */
const inList = computed(() => {
  const member = [props.member?.name, props.member?.record_id].filter(Boolean).join(' · ')
  return props.member?.left_at ? t('who_has_left', { member }) : member
})
const settled = (on: boolean): string => (on ? 'border-tide bg-tide-wash ring-2 ring-tide' : '')
</script>

<template>
  <li class="border-t border-rule px-4 py-2" :class="line.out && 'opacity-60'">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span class="w-16 shrink-0 text-[15px] text-slate">{{ told(line.found.row.place) }}</span>
      <input
        v-if="line.found.outcome === 'unread' && !line.out"
        :value="line.name"
        :class="smallField"
        class="min-w-40 grow"
        :aria-label="common('name')"
        @change="emit('name', ($event.target as HTMLInputElement).value)"
      />
      <span v-else class="min-w-40 grow wrap-anywhere"
        >{{ form.name }}
        <span v-if="form.record_id" class="text-[15px] text-slate"> · {{ form.record_id }}</span></span
      >
      <span class="text-[15px] whitespace-nowrap" :class="isAsItWas ? 'text-slate' : 'font-bold'">{{
        word
      }}</span>
      <UiButton look="quiet" size="small" @click="emit('out', !line.out)">{{
        line.out ? t('take_it_in') : t('leave_it_out')
      }}</UiButton>
    </div>
    <p v-if="line.found.row.why && !line.out" class="ps-20 text-[15px] text-wrong">
      {{ told(line.found.row.why) }}
    </p>
    <p v-if="line.found.outcome === 'changed' && !line.out" class="ps-20 text-[15px] text-slate">
      <span v-for="change in changes" :key="change.label" class="block wrap-anywhere"
        >{{ change.label }}: {{ change.before || t('nothing') }}
        <span class="inline-block rtl:-scale-x-100">→</span> <b class="text-ink">{{ change.after }}</b></span
      >
    </p>
    <div
      v-if="isDoubtful && !line.out && member"
      class="my-1 grid items-stretch gap-3 sm:grid-cols-2 sm:ps-20"
    >
      <div class="rounded border border-edge bg-sheet" :class="settled(line.same === true)">
        <button
          type="button"
          class="w-full px-3 py-2 text-start"
          :aria-pressed="line.same === true"
          @click="emit('decide', true)"
        >
          <b class="block">{{ t('the_same_person_2') }}</b>
          <span class="block text-[15px] wrap-anywhere">{{ inList }}</span>
          <span
            v-for="change in changes"
            :key="change.label"
            class="block text-[15px] wrap-anywhere text-slate"
            >{{ t('becomes', { label: change.label, after: change.after }) }}</span
          >
        </button>
        <label v-if="line.same && renames" class="flex items-center gap-2 px-3 pb-2 text-[15px]"
          ><input
            type="checkbox"
            class="size-5 accent-tide"
            :checked="line.renamed"
            @change="emit('rename', ($event.target as HTMLInputElement).checked)"
          />{{ t('written_from_now_on', { name: form.name }) }}</label
        >
      </div>
      <button
        type="button"
        class="flex flex-col rounded border border-edge bg-sheet px-3 py-2 text-start"
        :class="settled(line.same === false)"
        :aria-pressed="line.same === false"
        @click="emit('decide', false)"
      >
        <b class="block">{{ t('somebody_else_2') }}</b>
        <span class="block text-[15px] wrap-anywhere">{{
          t('joins_as_a_new_member', { name: form.name })
        }}</span>
      </button>
    </div>
  </li>
</template>
