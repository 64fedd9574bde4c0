<script setup lang="ts">
/** The halves that are still apart, side by side, each with half of a light; below them what was joined. */
import { computed, nextTick, ref, watch } from 'vue'
import type { GameMove, OwnBoardOf, PublicItem, PublicItemOf } from '@/api/types'
import MediaView from '@/media/shown/MediaView.vue'
import { facesOf, isPlayed } from '../../shared/pairs/faces'
import FirstTry from '../../shared/pairs/FirstTry.vue'
import WhoPlays from '../../shared/pairs/WhoPlays.vue'
import PartFace from '../../shared/pairs/PartFace.vue'
import { useTold } from '../../shared/pairs/tries'
import { foundOf, hearHow, wentSaid } from '../../shared/pairs/said'
import type { BoardMoment } from '../../gameViews'
import { language } from '@/words'
import { t } from '../words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{
  board: OwnBoardOf<'two_halves'>
  at: BoardMoment
  question?: PublicItem
  disabled?: boolean
  names?: readonly string[]
}>()
const emit = defineEmits<{ move: [move: GameMove] }>()

type Side = 'left' | 'right'
const item = computed(() => props.question as PublicItemOf<'match'> | undefined)
const own = computed(() => props.board.boards.find((one) => one.question === item.value?.id))
const found = computed(() => own.value?.found ?? [])
const faces = computed(() => facesOf([...(item.value?.left ?? []), ...(item.value?.right ?? [])]))
const open = computed(() => {
  const taken = new Set(found.value.flatMap((pair) => [pair.left, pair.right]))
  const still = <L extends { id: string }>(lines: readonly L[] = []): L[] =>
    lines.filter((line) => !taken.has(line.id))
  return { left: still(item.value?.left), right: still(item.value?.right) }
})
/** What is played once it is chosen. */
const played = computed(() => {
  const media = chosen.value && faces.value.get(chosen.value.id)?.media
  return media && isPlayed(media) ? media : null
})
/** Whether anything is still to be heard: there is room for its player then, and nothing moves under a finger. */
const sounds = computed(() =>
  [...open.value.left, ...open.value.right].some((line) => isPlayed(faces.value.get(line.id)?.media)),
)
const isDone = computed(() => !open.value.left.length)
const chosen = ref<{ side: Side; id: string } | null>(null)
/** What does not belong together, until something else is touched. */
const wrong = computed(() => (chosen.value ? null : (own.value?.wrong ?? null)))
const told = useTold(
  () => own.value,
  (id) => faces.value.get(id)?.said ?? '',
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
  <div v-else-if="at === 'during' && own" :lang="language">
    <WhoPlays
      v-if="own.turns?.length && (names?.length ?? 0) > 1"
      :names="names!"
      :turns="own.turns"
      :done="isDone"
    />
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
    <div v-if="sounds" class="mb-2 min-h-26">
      <MediaView v-if="played" :key="played.media" :media="played" plays />
      <p v-else dir="auto">{{ hearHow() }}</p>
    </div>
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
            <PartFace :face="faces.get(line.id)" :lang="item?.language || undefined" />
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
        <PartFace :face="faces.get(pair.left)" :lang="item?.language || undefined" class="flex-1" />
        <span class="size-4 shrink-0 rounded-full border border-lamp-ink bg-lamp" aria-hidden="true" />
        <PartFace :face="faces.get(pair.right)" :lang="item?.language || undefined" class="flex-1" />
      </li>
    </ul>
  </div>
</template>
