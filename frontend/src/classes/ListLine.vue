<script setup lang="ts">
/** One line of a list that comes in, and what becomes of it. */
import { computed } from 'vue'
import type { Member } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import { smallField } from '@/ui/recipes'
import { changesOf, type Line, type Outcome } from './useBringList'

const props = defineProps<{ line: Line; member: Member | null }>()
const emit = defineEmits<{
  decide: [same: boolean]
  rename: [on: boolean]
  out: [out: boolean]
  name: [name: string]
}>()
const renames = computed(() => props.line.found.changes.includes('name'))

const WORDS: Record<Outcome, string> = {
  new: 'new',
  same: 'as it is',
  changed: 'changed',
  back: 'comes back',
  doubtful: 'doubtful',
  twice: 'stands above already',
  unread: 'cannot be kept so',
}
const FIELDS: Record<string, string> = {
  name: 'name',
  sort_name: 'sorted as',
  record_id: 'record ID',
  group: 'group',
  keypads: 'keypads',
  notes: 'notes',
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
  if (props.line.out) return 'left out'
  if (!isDoubtful.value || props.line.same === null) return WORDS[props.line.found.outcome]
  return props.line.same ? 'the same person' : 'new'
})
const settled = (on: boolean): string => (on ? 'border-tide bg-tide-wash ring-2 ring-tide' : '')
</script>

<template>
  <li class="border-t border-rule px-4 py-2" :class="line.out && 'opacity-60'">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span class="w-16 shrink-0 text-[15px] text-slate">{{ line.found.row.place.sentence }}</span>
      <input
        v-if="line.found.outcome === 'unread' && !line.out"
        :value="line.name"
        :class="smallField"
        class="min-w-40 grow"
        aria-label="Name"
        @change="emit('name', ($event.target as HTMLInputElement).value)"
      />
      <span v-else class="min-w-40 grow wrap-anywhere"
        >{{ form.name }}
        <span v-if="form.record_id" class="text-[15px] text-slate"> · {{ form.record_id }}</span></span
      >
      <span class="text-[15px] whitespace-nowrap" :class="word === 'as it is' ? 'text-slate' : 'font-bold'">{{
        word
      }}</span>
      <UiButton look="quiet" size="small" @click="emit('out', !line.out)">{{
        line.out ? 'Take it in' : 'Leave it out'
      }}</UiButton>
    </div>
    <p v-if="line.found.row.why && !line.out" class="pl-20 text-[15px] text-wrong">
      {{ line.found.row.why.sentence }}
    </p>
    <p v-if="line.found.outcome === 'changed' && !line.out" class="pl-20 text-[15px] text-slate">
      <span v-for="change in changes" :key="change.label" class="block wrap-anywhere"
        >{{ change.label }}: {{ change.before || 'nothing' }} →
        <b class="text-ink">{{ change.after }}</b></span
      >
    </p>
    <div
      v-if="isDoubtful && !line.out && member"
      class="my-1 grid items-stretch gap-3 sm:grid-cols-2 sm:pl-20"
    >
      <div class="rounded border border-edge bg-sheet" :class="settled(line.same === true)">
        <button
          type="button"
          class="w-full px-3 py-2 text-left"
          :aria-pressed="line.same === true"
          @click="emit('decide', true)"
        >
          <b class="block">The same person</b>
          <span class="block text-[15px] wrap-anywhere"
            >{{ member.name }}<template v-if="member.record_id"> · {{ member.record_id }}</template
            ><template v-if="member.left_at">, who has left</template></span
          >
          <span
            v-for="change in changes"
            :key="change.label"
            class="block text-[15px] wrap-anywhere text-slate"
            >{{ change.label }} becomes {{ change.after }}</span
          >
        </button>
        <label v-if="line.same && renames" class="flex items-center gap-2 px-3 pb-2 text-[15px]"
          ><input
            type="checkbox"
            class="size-5 accent-tide"
            :checked="line.renamed"
            @change="emit('rename', ($event.target as HTMLInputElement).checked)"
          />Written {{ form.name }} from now on</label
        >
      </div>
      <button
        type="button"
        class="flex flex-col rounded border border-edge bg-sheet px-3 py-2 text-left"
        :class="settled(line.same === false)"
        :aria-pressed="line.same === false"
        @click="emit('decide', false)"
      >
        <b class="block">Somebody else</b>
        <span class="block text-[15px] wrap-anywhere">{{ form.name }} joins as a new member</span>
      </button>
    </div>
  </li>
</template>
