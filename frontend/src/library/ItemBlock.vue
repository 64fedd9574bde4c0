<script setup lang="ts">
/** One item on the page: typed straight in, its settings as chips on its own last line. */
import { computed, ref } from 'vue'
import type { Conflict, Item, ItemProblem, Kind, Media } from '@/api/types'
import { ItemMedia, mediaFileIn, MediaSlot, useUpload } from '@/media'
import { editingOf } from '@/questions/editing'
import EditingView from '@/questions/editing/EditingView.vue'
import RichField from '@/questions/editing/RichField.vue'
import { provideLanguage, useLanguage } from '@/ui/setLanguage'
import ItemChips from './ItemChips.vue'
import ItemConflict from './ItemConflict.vue'
import WouldCount from './WouldCount.vue'
import { t } from './words'

const props = defineProps<{
  set: number
  item: Item
  /** Its number among the questions; null for pages. */
  number: number | null
  active: boolean
  problems: ItemProblem['problem'][]
  conflict?: Conflict
  first: boolean
  last: boolean
  selected: boolean
}>()
const emit = defineEmits<{
  update: [item: Item]
  duplicate: []
  move: [offset: number]
  turn: [into: Kind]
  remove: []
  select: [on: boolean]
  settle: [keep: 'mine' | 'theirs']
}>()

const ofSet = useLanguage()
provideLanguage(() => props.item.language || ofSet())

const block = ref<HTMLElement>()
const explaining = ref(false)
const explanation = computed(() => ('explanation' in props.item ? (props.item.explanation ?? '') : null))
const explanationMedia = computed(
  () => (('explanation_media' in props.item && props.item.explanation_media) || null) as Media | null,
)
const showsExplanation = computed(
  () =>
    explanation.value !== null && (explaining.value || explanation.value !== '' || !!explanationMedia.value),
)

/** What may be tried against the key: nothing of an opinion, and nothing that is chosen. */
const typedParts = computed(() => {
  const isScored = 'scored' in props.item && props.item.scored
  return isScored ? (editingOf(props.item).typedParts?.(props.item) ?? []) : []
})
const trying = ref(false)

const { error, upload } = useUpload((media) =>
  emit('update', { ...props.item, [media.type ?? 'picture']: media } as Item),
)

/** A picture, sound or video that is pasted or dropped anywhere on the block goes to the question. */
function takeFile(event: ClipboardEvent | DragEvent): void {
  const file = mediaFileIn('clipboardData' in event ? event.clipboardData : event.dataTransfer)
  if (!file) return
  event.preventDefault()
  void upload(file)
}

function toFirstLine(): void {
  block.value?.querySelector<HTMLElement>('[data-line] textarea, textarea[data-line]')?.focus()
}

function explain(): void {
  explaining.value = true
  requestAnimationFrame(() => block.value?.querySelector<HTMLElement>('[data-explanation] textarea')?.focus())
}
</script>

<template>
  <section
    ref="block"
    :data-item="item.id"
    :data-active="active || undefined"
    :aria-label="number ? t('question_2', { number }) : t('page')"
    class="group/block relative mb-3.5 rounded border bg-sheet py-3 pe-4 ps-3"
    :class="
      active
        ? 'border-ink before:absolute before:-inset-y-px before:-start-1.5 before:w-1.5 before:rounded-s before:bg-lamp'
        : 'border-rule'
    "
    @paste="takeFile"
    @dragover.prevent
    @drop="takeFile"
  >
    <p v-if="error" role="alert" class="mb-2 ps-9 text-wrong">{{ error }}</p>
    <ItemConflict v-if="conflict" :conflict="conflict" @settle="emit('settle', $event)" />
    <div class="flex gap-2">
      <label class="group/number relative flex w-7 shrink-0 flex-col items-center pt-1.5">
        <span class="figure text-center text-lg text-slate">{{ number ?? '–' }}</span>
        <input
          type="checkbox"
          class="mt-1 size-5 accent-tide opacity-0 group-hover/block:opacity-100 checked:opacity-100 focus-visible:opacity-100"
          :aria-label="t('select', { page: number ? t('question_3', { number }) : t('this_page') })"
          :checked="selected"
          @change="emit('select', ($event.target as HTMLInputElement).checked)"
        />
      </label>
      <div class="min-w-0 grow">
        <div class="flex flex-col-reverse gap-4 sm:flex-row">
          <div class="min-w-0 grow">
            <RichField
              :model-value="item.prompt ?? ''"
              class="text-[19px] leading-snug font-bold"
              :label="number ? t('question_4') : t('heading_of_the_page')"
              :placeholder="number ? t('type_the_question') : t('heading_of_the_page')"
              @update:model-value="emit('update', { ...item, prompt: $event })"
              @enter="toFirstLine"
            />
            <EditingView
              :kind="item.kind"
              part="editor"
              :item="item"
              class="mt-1"
              @update="emit('update', $event)"
            />
          </div>
          <ItemMedia
            :item="item"
            :name="number ? t('question_3', { number }) : t('the_page')"
            :active="active"
            @update="emit('update', $event)"
          />
        </div>
        <div
          v-if="showsExplanation"
          data-explanation
          class="mt-2 flex items-start border-s-4 border-rule ps-2"
        >
          <span class="pt-1 text-[15px] font-bold">{{ t('why') }}</span>
          <RichField
            :model-value="explanation ?? ''"
            class="grow text-[15px]"
            :label="t('explanation_shown_with_the_right_answer')"
            :placeholder="t('explanation_shown_with_the_right_answer')"
            block
            @update:model-value="emit('update', { ...item, explanation: $event } as Item)"
          />
          <MediaSlot
            v-if="active || explanationMedia"
            :media="explanationMedia"
            :name="t('the_explanation')"
            :active="active"
            :language="item.language"
            @update="emit('update', { ...item, explanation_media: $event } as Item)"
          />
        </div>
        <WouldCount
          v-if="active && trying && typedParts.length"
          :set="set"
          :item="item"
          :parts="typedParts"
        />
        <ItemChips
          :item="item"
          :problems="problems"
          :active="active"
          :first="first"
          :last="last"
          :can-explain="explanation !== null && !showsExplanation"
          :can-try="typedParts.length > 0"
          :trying="trying"
          @update="emit('update', $event)"
          @explain="explain"
          @try="trying = !trying"
          @duplicate="emit('duplicate')"
          @move="emit('move', $event)"
          @turn="emit('turn', $event)"
          @remove="emit('remove')"
        />
      </div>
    </div>
  </section>
</template>
