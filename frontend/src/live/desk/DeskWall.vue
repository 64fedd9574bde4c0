<script setup lang="ts">
/** A wall as its teacher sees it: what waits to be read first, and what can be done with each. */
import { computed, ref } from 'vue'
import type { DeskView } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import { answersShown, namesShown } from './hiding'
import type { Desk } from './useDesk'
import { t } from './words'

const props = defineProps<{ view: DeskView; desk: Desk }>()
const wall = computed(() => props.view.on_wall!)
const item = computed(() => props.view.shown!.item.id)
const isWords = computed(() => wall.value.kind === 'words')
const FIRST = 120
const all = ref(false)
const entries = computed(() => (all.value ? wall.value.entries : wall.value.entries.slice(0, FIRST)))
const isGrouped = computed(() => wall.value.entries.some((entry) => entry.group))

interface Way {
  key: keyof DeskView['wall']
  words: string
  hint: string
}
const ALL_WAYS: Way[] = [
  { key: 'live', words: t('fills_as_they_come'), hint: t('the_big_screen_shows_it_while') },
  { key: 'held', words: t('read_before_shown'), hint: t('only_what_you_let_through') },
]
const OF_TEXTS: Way[] = [
  { key: 'backing', words: t('they_may_back_each_others'), hint: t('one_voice_for_each_once') },
  { key: 'named', words: t('with_names'), hint: t('where_the_session_names_people') },
]
const ways = computed(() => (isWords.value ? ALL_WAYS : [...ALL_WAYS, ...OF_TEXTS]))

function toggle(key: keyof DeskView['wall']): void {
  void props.desk.setWall({ ...props.view.wall, [key]: !props.view.wall[key] })
}
function join(text: string, event: Event): void {
  const select = event.target as HTMLSelectElement
  if (select.value) void props.desk.joinWords(item.value, text, select.value)
  select.value = ''
}
const small = 'min-h-8 rounded px-2 text-[15px] font-bold text-tide hover:underline'
</script>

<template>
  <section :aria-label="t('the_wall')" class="mt-4">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1 text-[15px]">
      <label v-for="way in ways" :key="way.key" class="flex min-h-8 items-center gap-1.5" :title="way.hint">
        <input
          type="checkbox"
          class="size-4 accent-tide"
          :checked="view.wall[way.key]"
          @change="toggle(way.key)"
        />
        {{ way.words }}
      </label>
    </div>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <UiButton v-if="wall.unread" size="small" look="main" @click="desk.place(item, 'show', null)">{{
        t('let_all_through', { unread: wall.unread })
      }}</UiButton>
      <UiButton
        v-if="desk.can('group_alike') && wall.entries.length > 1"
        size="small"
        @click="desk.groupAlike(item, false)"
        >{{ t('group_those_alike') }}</UiButton
      >
      <UiButton v-if="isGrouped" size="small" look="quiet" @click="desk.groupAlike(item, true)">{{
        t('part_them_again')
      }}</UiButton>
    </div>
    <p v-if="isGrouped" class="mt-1 text-[15px] text-slate">
      {{ t('alike_are_those_that_share_four') }}
    </p>
    <p v-if="!wall.entries.length" class="mt-2 text-slate">{{ t('nothing_has_been_written_yet') }}</p>
    <p v-else-if="!answersShown" class="mt-2 text-slate">
      {{ t('answers_hidden_here_h_shows_them', { n: wall.entries.length }) }}
    </p>
    <ul v-else class="mt-2 divide-y divide-rule border-y border-rule bg-sheet">
      <li
        v-for="entry in entries"
        :key="entry.id"
        class="flex flex-wrap items-start gap-x-3 px-3 py-1.5 sm:flex-nowrap"
        :class="[entry.unread && 'border-s-4 border-lamp', entry.group && entry.group !== entry.id && 'ps-9']"
      >
        <p
          class="min-w-0 grow basis-full self-center leading-snug sm:basis-0 wrap-anywhere whitespace-pre-line"
          :class="entry.hidden && 'text-slate line-through'"
          dir="auto"
        >
          {{ entry.text }}
          <span v-if="entry.count > 1" class="figure text-slate"> × {{ entry.count }}</span>
          <span v-if="entry.backed" class="text-[15px] text-slate">
            {{ t('think_so_too', { n: entry.backed }) }}</span
          >
          <span v-if="!isWords && namesShown" class="text-[15px] text-slate">
            · {{ entry.names?.join(', ') }}</span
          >
          <span v-if="entry.hidden" class="sr-only">{{ t('hidden') }}</span>
        </p>
        <span class="flex grow flex-wrap justify-end sm:shrink-0 sm:grow-0">
          <select
            v-if="desk.can('join_words') && wall.entries.length > 1 && !entry.hidden"
            :class="smallField"
            class="max-w-32 text-[15px]"
            :aria-label="t('count_as_another_word', { text: entry.text })"
            @change="join(entry.text, $event)"
          >
            <option value="">{{ t('counts_as') }}</option>
            <template v-for="other in wall.entries.slice(0, FIRST)" :key="other.id">
              <option v-if="other.id !== entry.id">{{ other.text }}</option>
            </template>
          </select>
          <button
            v-if="entry.unread || entry.hidden"
            type="button"
            :class="small"
            @click="desk.place(item, 'show', entry.id)"
          >
            {{ entry.hidden ? t('show_again') : t('let_through') }}
          </button>
          <button
            v-if="!isWords && !entry.hidden"
            type="button"
            :class="small"
            :aria-pressed="entry.pinned"
            @click="desk.place(item, entry.pinned ? 'unpin' : 'pin', entry.id)"
          >
            {{ entry.pinned ? t('unpin') : t('pin') }}
          </button>
          <button
            v-if="!entry.hidden"
            type="button"
            :class="small"
            @click="desk.place(item, 'hide', entry.id)"
          >
            {{ t('hide') }}
          </button>
        </span>
      </li>
    </ul>
    <UiButton
      v-if="answersShown && wall.entries.length > entries.length"
      size="small"
      class="mt-2"
      @click="all = true"
      >{{ t('all', { count: wall.entries.length }) }}</UiButton
    >
    <p v-if="answersShown && wall.more" class="mt-2 text-[15px] text-slate">
      {{ t('and_more_they_come_up', { more: wall.more }) }}
    </p>
  </section>
</template>
