<script setup lang="ts">
/** What can be done with several items at once. */
import { useQuery } from '@tanstack/vue-query'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { Item } from '@/api/types'
import { duration } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import { viewsOf } from '@/questions/registry'
import UiButton from '@/ui/UiButton.vue'
import type { SetEditor } from './useSetEditor'
import { t } from './words'
import { t as common } from '@/ui/words'

type Question = Extract<Item, { weight?: unknown }>
const props = defineProps<{ editor: SetEditor; selected: ReadonlySet<string>; set: number }>()
const emit = defineEmits<{ clear: []; recast: [] }>()
const { show } = useToasts()
const others = useQuery({ queryKey: ['sets', ''], queryFn: () => data(api.GET('/api/sets')) })

const TIMES = [10, 20, 30, 45, 60, 90, 120, 300]
const chosen = (): Item[] => props.editor.draft.value.items.filter((item) => props.selected.has(item.id))
const setAll = (change: Partial<Question>): void =>
  props.editor.updateMany(props.selected, (item) =>
    viewsOf(item).isAsked ? ({ ...item, ...change } as Item) : item,
  )

function onPick(event: Event, act: (value: string) => void): void {
  const select = event.target as HTMLSelectElement
  if (select.value) act(select.value)
  select.value = ''
}

function tag(event: Event): void {
  const field = event.target as HTMLInputElement
  const word = field.value.trim()
  if (word)
    props.editor.updateMany(props.selected, (item) => ({
      ...item,
      tags: [...new Set([...(item.tags ?? []), word])],
    }))
  field.value = ''
}

function remove(): void {
  const count = props.selected.size
  props.editor.removeMany(props.selected)
  emit('clear')
  show(t('items_removed', { n: count }), { label: common('undo'), run: props.editor.undo })
}

async function copyTo(id: string): Promise<void> {
  try {
    const path = { set_id: Number(id) }
    const body = { items: chosen(), language: props.editor.draft.value.about.language }
    const made = await data(api.POST('/api/sets/{set_id}/items', { params: { path }, body }))
    show(t('items_copied_to', { n: props.selected.size, title: made.title || common('untitled_set') }))
  } catch (error) {
    show(sentenceOf(error))
  }
}

const select = 'rounded border border-edge bg-sheet px-2 py-1.5 text-ink'
</script>

<template>
  <div
    role="region"
    :aria-label="t('selected_items')"
    class="on-dark fixed inset-x-0 bottom-0 z-30 flex flex-wrap items-center gap-3 bg-hull px-5 py-3 text-foam"
  >
    <b class="figure">{{ common('n_items', { n: selected.size }) }}</b>
    <UiButton look="dark" size="small" @click="editor.moveMany(selected, -1)">{{ t('move_up') }}</UiButton>
    <UiButton look="dark" size="small" @click="editor.moveMany(selected, 1)">{{ t('move_down') }}</UiButton>
    <select
      :class="select"
      :aria-label="t('time_limit')"
      @change="onPick($event, (value) => setAll({ time_limit: Number(value) || null }))"
    >
      <option value="">{{ t('time') }}</option>
      <option value="none">{{ t('no_time_limit') }}</option>
      <option v-for="time in TIMES" :key="time" :value="time">{{ duration(time) }}</option>
    </select>
    <select
      :class="select"
      :aria-label="t('weight')"
      @change="onPick($event, (value) => setAll({ weight: Number(value) as 0 | 1 | 2 }))"
    >
      <option value="">{{ t('weight_2') }}</option>
      <option value="1">{{ t('counts_once') }}</option>
      <option value="2">{{ t('counts_twice') }}</option>
      <option value="0">{{ t('counts_for_nothing') }}</option>
    </select>
    <input
      :class="select"
      class="w-36"
      :aria-label="t('add_a_topic')"
      :placeholder="t('add_a_topic')"
      maxlength="60"
      @keydown.enter.prevent="tag"
      @change="tag"
    />
    <select :class="select" :aria-label="t('copy_to_another_set')" @change="onPick($event, copyTo)">
      <option value="">{{ t('copy_to') }}</option>
      <template v-for="row in others.data.value" :key="row.id">
        <option v-if="row.id !== set" :value="row.id">{{ row.title || common('untitled_set') }}</option>
      </template>
    </select>
    <UiButton look="dark" size="small" @click="emit('recast')">{{ t('make_others_of_them') }}</UiButton>
    <UiButton look="dark" size="small" @click="remove">{{ common('remove') }}</UiButton>
    <UiButton look="dark" size="small" class="ms-auto" @click="emit('clear')">{{ t('done') }}</UiButton>
  </div>
</template>
