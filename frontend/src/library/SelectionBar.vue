<script setup lang="ts">
/** What can be done with several items at once. */
import { useQuery } from '@tanstack/vue-query'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { Item } from '@/api/types'
import { counted, duration } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import { viewsOf } from '@/questions/registry'
import UiButton from '@/ui/UiButton.vue'
import type { SetEditor } from './useSetEditor'

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
  show(`${counted(count, 'item')} removed.`, { label: 'Undo', run: props.editor.undo })
}

async function copyTo(id: string): Promise<void> {
  try {
    const path = { set_id: Number(id) }
    const made = await data(
      api.POST('/api/sets/{set_id}/items', { params: { path }, body: { items: chosen() } }),
    )
    show(`${counted(props.selected.size, 'item')} copied to “${made.title || 'Untitled set'}”.`)
  } catch (error) {
    show(sentenceOf(error))
  }
}

const select = 'rounded border border-edge bg-sheet px-2 py-1.5 text-ink'
</script>

<template>
  <div
    role="region"
    aria-label="Selected items"
    class="on-dark fixed inset-x-0 bottom-0 z-30 flex flex-wrap items-center gap-3 bg-hull px-5 py-3 text-foam"
  >
    <b class="figure">{{ counted(selected.size, 'item') }}</b>
    <UiButton look="dark" size="small" @click="editor.moveMany(selected, -1)">Move up</UiButton>
    <UiButton look="dark" size="small" @click="editor.moveMany(selected, 1)">Move down</UiButton>
    <select
      :class="select"
      aria-label="Time limit"
      @change="onPick($event, (value) => setAll({ time_limit: Number(value) || null }))"
    >
      <option value="">Time…</option>
      <option value="none">no time limit</option>
      <option v-for="time in TIMES" :key="time" :value="time">{{ duration(time) }}</option>
    </select>
    <select
      :class="select"
      aria-label="Weight"
      @change="onPick($event, (value) => setAll({ weight: Number(value) as 0 | 1 | 2 }))"
    >
      <option value="">Weight…</option>
      <option value="1">counts once</option>
      <option value="2">counts twice</option>
      <option value="0">counts for nothing</option>
    </select>
    <input
      :class="select"
      class="w-36"
      aria-label="Add a topic"
      placeholder="Add a topic"
      maxlength="60"
      @keydown.enter.prevent="tag"
      @change="tag"
    />
    <select :class="select" aria-label="Copy to another set" @change="onPick($event, copyTo)">
      <option value="">Copy to…</option>
      <template v-for="row in others.data.value" :key="row.id">
        <option v-if="row.id !== set" :value="row.id">{{ row.title || 'Untitled set' }}</option>
      </template>
    </select>
    <UiButton look="dark" size="small" @click="emit('recast')">Make others of them…</UiButton>
    <UiButton look="dark" size="small" @click="remove">Remove</UiButton>
    <UiButton look="dark" size="small" class="ml-auto" @click="emit('clear')">Done</UiButton>
  </div>
</template>
