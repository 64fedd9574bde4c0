<script setup lang="ts">
/** Pairs, left and right beside each other; and right sides that belong to nobody. */
import { nextTick, ref } from 'vue'
import { newId } from '@/api/ids'
import type { ItemOf } from '@/api/types'
import { MediaSlot } from '@/media'
import LineList from '@/questions/editing/LineList.vue'
import RichField from '@/questions/editing/RichField.vue'
import { t } from './words'

type Match = ItemOf<'match'>
type Pair = NonNullable<Match['pairs']>[number]
const MOST = 12

const props = defineProps<{ item: Match }>()
const emit = defineEmits<{ update: [item: Match] }>()
const list = ref<HTMLElement>()

const set = (change: Partial<Match>): void => emit('update', { ...props.item, ...change })
const pairs = (): Pair[] => props.item.pairs ?? []

function write(index: number, change: Partial<Pair>): void {
  set({ pairs: pairs().map((pair, at) => (at === index ? { ...pair, ...change } : pair)) })
}

function focus(field: number): void {
  list.value?.querySelectorAll<HTMLElement>('[data-line] textarea, textarea[data-line]')[field]?.focus()
}

async function add(): Promise<void> {
  if (pairs().length >= MOST) return
  set({ pairs: [...pairs(), { id: newId(8), left: '', partner_id: newId(8), right: '' }] })
  await nextTick()
  focus((pairs().length - 1) * 2)
}

function onEnter(field: number): void {
  if (field + 1 < pairs().length * 2) focus(field + 1)
  else if (pairs().at(-1)?.left) void add()
}

async function remove(index: number): Promise<void> {
  set({ pairs: pairs().filter((_, at) => at !== index) })
  await nextTick()
  focus(Math.max(0, index - 1) * 2)
}
</script>

<template>
  <div>
    <ul ref="list" class="space-y-0.5">
      <li v-for="(pair, index) in item.pairs" :key="pair.id" class="group flex flex-wrap items-start gap-2">
        <RichField
          :model-value="pair.left ?? ''"
          class="min-w-0 flex-1"
          data-line
          :label="t('left', { number: index + 1 })"
          :placeholder="t('left', { number: index + 1 })"
          @update:model-value="write(index, { left: $event })"
          @enter="onEnter(index * 2)"
        />
        <MediaSlot
          v-if="!pair.left_media"
          :media="null"
          :name="t('left_2', { number: index + 1 })"
          active
          quiet
          class="shrink-0"
          @update="write(index, { left_media: $event })"
        />
        <span class="pt-1 text-slate" aria-hidden="true">–</span>
        <RichField
          :model-value="pair.right ?? ''"
          class="min-w-0 flex-1"
          data-line
          :label="t('right', { number: index + 1 })"
          :placeholder="t('right', { number: index + 1 })"
          @update:model-value="write(index, { right: $event })"
          @enter="onEnter(index * 2 + 1)"
        />
        <button
          v-if="pairs().length > 2"
          type="button"
          class="mt-1 size-7 rounded text-slate opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 hover:text-wrong focus-visible:opacity-100"
          :aria-label="t('remove_pair', { number: index + 1 })"
          @click="remove(index)"
        >
          ✕
        </button>
        <MediaSlot
          v-if="pair.left_media"
          :media="pair.left_media"
          :name="t('left_2', { number: index + 1 })"
          active
          class="basis-full ps-1.5 pb-1"
          @update="write(index, { left_media: $event })"
        />
      </li>
    </ul>
    <button
      v-if="pairs().length < MOST"
      type="button"
      class="mt-1 ms-2 hidden text-[15px] font-bold text-tide group-data-active/block:inline-block"
      @click="add"
    >
      {{ t('pair') }}
    </button>
    <div :class="!item.extra?.length && 'hidden group-data-active/block:block'">
      <p v-if="item.extra?.length" class="mt-2 ps-1.5 text-[15px] text-slate">
        {{ t('on_the_right_with_no_partner') }}
      </p>
      <LineList
        :lines="item.extra ?? []"
        :label="t('extra_line')"
        :fewest="0"
        :most="12"
        :blank="() => ({ id: newId(8), text: '' })"
        @update="set({ extra: $event })"
      />
    </div>
  </div>
</template>
