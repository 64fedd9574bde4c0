<script setup lang="ts">
/** One thing hangs on the hook; below it stand the crates that it may go into. */
import { computed, ref } from 'vue'
import type { GameMove, OwnBoardOf, PublicItem, PublicItemOf } from '@/api/types'
import { textOf } from '@/composables/text'
import FirstTry from '../../shared/pairs/FirstTry.vue'
import WhoPlays from '../../shared/pairs/WhoPlays.vue'
import { useTold } from '../../shared/pairs/tries'
import type { BoardMoment } from '../../gameViews'
import { language } from '@/words'
import { t } from '../words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{
  board: OwnBoardOf<'sort_the_catch'>
  at: BoardMoment
  question?: PublicItem
  disabled?: boolean
  names?: readonly string[]
}>()
const emit = defineEmits<{ move: [move: GameMove] }>()

const item = computed(() => props.question as PublicItemOf<'classify'> | undefined)
const own = computed(() => props.board.boards.find((one) => one.question === item.value?.id))
const html = computed(
  () =>
    new Map([...(item.value?.groups ?? []), ...(item.value?.members ?? [])].map((one) => [one.id, one.html])),
)
/** What was put off, in the order in which that was. */
const later = ref<string[]>([])
const open = computed(() => {
  const sorted = new Set(own.value?.found.map((one) => one.left))
  const still = (item.value?.members ?? []).filter((member) => !sorted.has(member.id))
  const place = (id: string): number => later.value.lastIndexOf(id)
  return [...still].sort((one, other) => place(one.id) - place(other.id))
})
const hook = computed(() => open.value[0])
const inside = (group: string): string[] =>
  own.value?.found.filter((one) => one.right === group).map((one) => html.value.get(one.left) ?? '') ?? []
/** The crate that what hangs there was put into last, and does not belong in. */
const notIn = computed(() => {
  const wrong = own.value?.wrong
  return wrong && wrong.left === hook.value?.id ? wrong.right : undefined
})
const told = useTold(
  () => own.value,
  (id) => textOf(html.value.get(id) ?? ''),
  (fits, text, group) => t(fits ? 'goes_in' : 'not_in', { text, group }),
)

function put(group: string): void {
  emit('move', { move: 'try_pair', question: item.value!.id, left: hook.value!.id, right: group })
}
</script>

<template>
  <FirstTry v-if="at === 'after' || at === 'between'" :right="board.right" />
  <div v-else-if="at === 'during' && own" :lang="language">
    <WhoPlays
      v-if="own.turns?.length && (names?.length ?? 0) > 1"
      :names="names!"
      :turns="own.turns"
      :done="own.found.length === own.pairs"
    />
    <p class="text-[15px] text-slate" dir="auto">
      {{ t('in_crates', { found: own.found.length, pairs: own.pairs }) }}
    </p>
    <div v-if="hook" class="mb-1 flex flex-col items-center" :aria-label="t('on_hook')" role="group">
      <svg viewBox="0 0 40 44" class="h-11" aria-hidden="true">
        <path
          d="M20 0v22c0 16 -15 15 -15 5l4 3"
          class="fill-none stroke-slate"
          stroke-width="3"
          stroke-linecap="round"
        />
      </svg>
      <p
        class="prose w-full max-w-sm rounded border-2 bg-sheet px-4 py-4 text-center text-xl font-bold wrap-anywhere"
        :class="notIn ? 'border-wrong' : 'border-edge'"
        :lang="item?.language || undefined"
        dir="auto"
        v-html="hook.html"
      />
      <button
        v-if="open.length > 1"
        type="button"
        class="min-h-11 px-2 font-bold text-tide"
        @click="later = [...later, hook.id]"
      >
        {{ t('later') }}
      </button>
    </div>
    <p class="min-h-7 text-[15px]" :class="notIn ? 'text-wrong' : 'text-slate'" dir="auto" role="status">
      {{ told }}
    </p>
    <ul class="grid grid-cols-2 gap-2.5" :aria-label="t('crates')">
      <li v-for="group in item?.groups" :key="group.id">
        <button
          type="button"
          class="flex h-full min-h-20 w-full flex-col rounded border-2 border-b-[6px] px-2.5 py-2 text-start leading-tight"
          :class="notIn === group.id ? 'border-wrong bg-sheet' : 'border-edge bg-mist'"
          :disabled="disabled || !hook"
          @click="put(group.id)"
        >
          <span
            class="prose font-bold wrap-anywhere"
            :lang="item?.language || undefined"
            dir="auto"
            v-html="group.html"
          />
          <span class="mt-auto pt-1 text-[15px]">{{ t('inside', { n: inside(group.id).length }) }}</span>
        </button>
      </li>
    </ul>
  </div>
</template>
