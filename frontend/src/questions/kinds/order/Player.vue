<script setup lang="ts">
/** Lines that are dragged, or moved by their buttons, into order. */
import { nextTick, ref } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { stepButton } from '@/questions/shared/recipes'
import { textOf } from '@/questions/shared/lines'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'order'>
  answer: StudentAnswerOf<'order'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'order'> | null] }>()

const byId = new Map(props.item.lines.map((line) => [line.id, line]))
const lines = ref(props.answer ? props.answer.order.map((id) => byId.get(id)!) : [...props.item.lines])
const moved = ref('')
const list = ref<HTMLElement>()

const tell = (): void => emit('update', { kind: 'order', order: lines.value.map((line) => line.id) })

/** The focus stays on the line that moves, so that it can be moved on. */
async function move(index: number, offset: number): Promise<void> {
  const to = index + offset
  if (to < 0 || to >= lines.value.length) return
  const [line] = lines.value.splice(index, 1)
  lines.value.splice(to, 0, line!)
  moved.value = t('moved', { line: textOf(line!.html), place: to + 1, of: lines.value.length })
  tell()
  await nextTick()
  const buttons = list.value?.querySelectorAll<HTMLButtonElement>(`[data-move="${offset}"]`)
  const next = buttons?.[to]
  if (next && !next.disabled) next.focus()
  else list.value?.querySelectorAll<HTMLButtonElement>(`[data-move="${-offset}"]`)[to]?.focus()
}
</script>

<template>
  <div ref="list">
    <p class="sr-only" role="status" aria-live="polite">{{ moved }}</p>
    <p v-if="item.first_label" data-read="first" class="mb-1 text-[15px] text-slate">
      {{ item.first_label }}
    </p>
    <VueDraggable
      v-model="lines"
      tag="ol"
      class="space-y-2"
      handle="[data-handle]"
      :animation="0"
      :disabled="disabled"
      @end="tell"
    >
      <li
        v-for="(line, index) in lines"
        :key="line.id"
        class="flex min-h-14 items-center gap-2 rounded border border-edge bg-sheet py-1.5 ps-3 pe-1.5 text-lg leading-snug"
        :class="disabled && 'text-slate'"
      >
        <span data-handle class="flex grow cursor-grab touch-none items-center gap-3 py-2">
          <b class="figure w-5 text-center">{{ index + 1 }}</b>
          <span :data-read="line.id" class="prose" dir="auto" v-html="line.html" />
        </span>
        <button
          type="button"
          data-move="-1"
          :class="stepButton"
          :lang="language"
          :aria-label="t('move_up', { line: textOf(line.html) })"
          :disabled="disabled || index === 0"
          @click="move(index, -1)"
        >
          ↑
        </button>
        <button
          type="button"
          data-move="1"
          :class="stepButton"
          :lang="language"
          :aria-label="t('move_down', { line: textOf(line.html) })"
          :disabled="disabled || index === lines.length - 1"
          @click="move(index, 1)"
        >
          ↓
        </button>
      </li>
    </VueDraggable>
    <p v-if="item.last_label" data-read="last" class="mt-1 text-[15px] text-slate">{{ item.last_label }}</p>
    <button
      v-if="!answer && !disabled"
      type="button"
      class="mt-3 min-h-11 font-bold text-tide"
      @click="tell"
      :lang="language"
      dir="auto"
    >
      {{ t(item.scored ? 'right_as_is' : 'liked_as_is') }}
    </button>
  </div>
</template>
