<script setup lang="ts" generic="L extends { id: string; text?: string }">
/** Lines typed straight in. Enter goes to the next line, and makes one when there is none. */
import { nextTick, ref } from 'vue'
import RichField from './RichField.vue'
import { t } from './words'

const props = defineProps<{
  lines: readonly L[]
  /** What a line is called, as "Option". */
  label: string
  /** How a line is told apart in its label: by letters, or by numbers. */
  by?: 'letter' | 'number'
  fewest: number
  most: number
  /** An empty line. */
  blank: () => L
  /** Lines can be typed in but neither added nor removed. */
  fixed?: boolean
}>()
const emit = defineEmits<{ update: [lines: L[]] }>()
const list = ref<HTMLElement>()

const nameOf = (index: number): string =>
  `${props.label} ${props.by === 'letter' ? 'ABCDEFGHIJKLMNOPQRST'[index] : index + 1}`

function write(index: number, text: string): void {
  emit(
    'update',
    props.lines.map((line, at) => (at === index ? { ...line, text } : line)),
  )
}

function focus(index: number): void {
  list.value?.querySelectorAll<HTMLElement>('[data-own-line] textarea')[index]?.focus()
}

async function add(): Promise<void> {
  if (props.lines.length >= props.most) return
  emit('update', [...props.lines, props.blank()])
  await nextTick()
  focus(props.lines.length - 1)
}

async function remove(index: number): Promise<void> {
  emit(
    'update',
    props.lines.filter((_, at) => at !== index),
  )
  await nextTick()
  focus(Math.max(0, index - 1))
}

function onEnter(index: number): void {
  if (index + 1 < props.lines.length) focus(index + 1)
  else if (props.lines[index]?.text && !props.fixed) void add()
}

function onBackspace(event: KeyboardEvent, index: number): void {
  if (props.lines[index]?.text || props.lines.length <= props.fewest || props.fixed) return
  event.preventDefault()
  void remove(index)
}
</script>

<template>
  <div ref="list">
    <ul class="space-y-0.5">
      <li
        v-for="(line, index) in lines"
        :key="line.id"
        class="group flex flex-wrap items-start gap-2 sm:flex-nowrap"
      >
        <slot name="before" :line="line" :index="index" :called="nameOf(index)" />
        <RichField
          :model-value="line.text ?? ''"
          class="min-w-[60%] grow sm:min-w-0"
          data-line
          data-own-line
          :label="nameOf(index)"
          :placeholder="nameOf(index)"
          @update:model-value="write(index, $event)"
          @enter="onEnter(index)"
          @keydown.backspace="onBackspace($event, index)"
        />
        <slot name="after" :line="line" :index="index" :called="nameOf(index)" />
        <button
          v-if="!fixed && lines.length > fewest"
          type="button"
          class="mt-1 size-7 rounded text-slate opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 hover:text-wrong focus-visible:opacity-100"
          :aria-label="t('remove', { line: nameOf(index) })"
          @click="remove(index)"
        >
          ✕
        </button>
      </li>
    </ul>
    <button
      v-if="!fixed && lines.length < most"
      type="button"
      class="mt-1 ms-2 text-[15px] font-bold text-tide"
      :class="lines.length >= fewest && 'hidden group-data-active/block:inline-block'"
      @click="add"
    >
      + {{ label }}
    </button>
  </div>
</template>
