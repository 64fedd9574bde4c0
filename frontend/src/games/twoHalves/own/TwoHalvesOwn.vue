<script setup lang="ts">
/** The halves that are still apart, side by side, each with half of a light; below them what was joined. */
import { computed, nextTick, ref, watch } from 'vue'
import type { GameMove, OwnBoardOf, PublicItem, PublicItemOf } from '@/api/types'
import FirstTry from '../../shared/pairs/FirstTry.vue'
import { useTold } from '../../shared/pairs/tries'
import { foundOf, wentSaid } from '../../shared/pairs/said'
import type { BoardMoment } from '../../gameViews'
import { t } from '../words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{
  board: OwnBoardOf<'two_halves'>
  at: BoardMoment
  question?: PublicItem
  disabled?: boolean
}>()
const emit = defineEmits<{ move: [move: GameMove] }>()

type Side = 'left' | 'right'
const item = computed(() => props.question as PublicItemOf<'match'> | undefined)
const own = computed(() => props.board.boards.find((one) => one.question === item.value?.id))
const found = computed(() => own.value?.found ?? [])
const html = computed(
  () => new Map([...(item.value?.left ?? []), ...(item.value?.right ?? [])].map((one) => [one.id, one.html])),
)
const open = computed(() => {
  const taken = new Set(found.value.flatMap((pair) => [pair.left, pair.right]))
  const still = <L extends { id: string }>(lines: readonly L[] = []): L[] =>
    lines.filter((line) => !taken.has(line.id))
  return { left: still(item.value?.left), right: still(item.value?.right) }
})
const isDone = computed(() => !open.value.left.length)
const chosen = ref<{ side: Side; id: string } | null>(null)
/** What does not belong together, until something else is touched. */
const wrong = computed(() => (chosen.value ? null : (own.value?.wrong ?? null)))
const told = useTold(
  () => own.value,
  () => html.value,
  wentSaid,
)

const buttons = ref<HTMLElement | null>(null)
watch(
  () => own.value,
  async () => {
    // The one that had the focus may be joined by now.
    const had = buttons.value?.contains(document.activeElement) ?? false
    await nextTick()
    if (!had || document.activeElement !== document.body) return
    buttons.value?.querySelector<HTMLElement>('button')?.focus()
  },
)

function touch(side: Side, id: string): void {
  const before = chosen.value
  if (!before || before.side === side) {
    chosen.value = before?.id === id ? null : { side, id }
    return
  }
  chosen.value = null
  const [left, right] = side === 'right' ? [before.id, id] : [id, before.id]
  emit('move', { move: 'try_pair', question: item.value!.id, left, right })
}

function look(id: string): string {
  if (chosen.value?.id === id) return 'border-tide bg-tide-wash'
  const isWrong = wrong.value?.left === id || wrong.value?.right === id
  return isWrong ? 'border-dashed border-wrong bg-sheet' : 'border-edge bg-sheet'
}
const SIDES = [
  { side: 'left', label: 'halves' },
  { side: 'right', label: 'others' },
] as const
</script>

<template>
  <FirstTry v-if="at === 'after' || at === 'between'" :right="board.right" />
  <div v-else-if="at === 'during' && own">
    <p class="text-[15px] text-slate" dir="auto">
      {{ foundOf(found.length, own.pairs) }}
    </p>
    <p
      class="mb-1 min-h-7 text-[15px] wrap-anywhere"
      :class="wrong ? 'text-wrong' : 'text-slate'"
      dir="auto"
      role="status"
    >
      {{ told }}
    </p>
    <div v-if="!isDone" ref="buttons" class="grid grid-cols-2 gap-5">
      <ul v-for="{ side, label } in SIDES" :key="side" class="space-y-2" :aria-label="t(label)">
        <li v-for="line in open[side]" :key="line.id">
          <button
            type="button"
            class="relative flex min-h-14 w-full items-center overflow-hidden border-2 py-1.5 text-start leading-tight"
            :class="[
              look(line.id),
              side === 'left' ? 'rounded-s border-e-0 ps-2.5 pe-6' : 'rounded-e border-s-0 ps-6 pe-2.5',
            ]"
            :aria-pressed="chosen?.id === line.id"
            :disabled="disabled"
            @click="touch(side, line.id)"
          >
            <span class="prose min-w-0 wrap-anywhere" dir="auto" v-html="line.html" />
            <span
              class="absolute top-1/2 size-8 -translate-y-1/2 rounded-full border-2"
              :class="[
                side === 'left' ? '-end-4' : '-start-4',
                chosen?.id === line.id ? 'border-tide bg-lamp-wash' : 'border-edge bg-mist',
              ]"
              aria-hidden="true"
            />
          </button>
        </li>
      </ul>
    </div>
    <ul v-if="found.length" class="mt-4 space-y-1.5" :aria-label="t('joined')">
      <li
        v-for="pair in [...found].reverse()"
        :key="pair.left"
        class="flex items-center gap-2 rounded border border-lamp bg-lamp-wash px-2.5 py-1.5 leading-tight"
      >
        <span class="prose min-w-0 flex-1 wrap-anywhere" dir="auto" v-html="html.get(pair.left)" />
        <span class="size-4 shrink-0 rounded-full border border-lamp-ink bg-lamp" aria-hidden="true" />
        <span class="prose min-w-0 flex-1 wrap-anywhere" dir="auto" v-html="html.get(pair.right)" />
      </li>
    </ul>
  </div>
</template>
