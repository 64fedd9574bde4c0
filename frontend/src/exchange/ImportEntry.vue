<script setup lang="ts">
/** One thing that was found: understood, to be chosen among its readings, or to be mended here. */
import { computed, ref, useId, watch } from 'vue'
import ItemGlance from '@/questions/ItemGlance.vue'
import UiButton from '@/ui/UiButton.vue'
import { field } from '@/ui/recipes'
import type { Row } from './useImport'
import { t } from './words'
import { told } from '@/told'
import { listed } from '@/words'

const props = defineProps<{
  row: Row
  busy: boolean
  /** Small pictures of what comes along, by id. */
  previews?: Record<string, string>
}>()
const emit = defineEmits<{
  mend: [text: string]
  leave: [out: boolean]
  choose: [reading: number]
  accept: []
}>()
const group = useId()

const text = ref(props.row.entry.text)
const open = ref(false)
watch(
  () => props.row.entry,
  (entry) => {
    text.value = entry.text
    open.value = false
  },
)
const understood = computed(() => !!props.row.entry.item)
const readings = computed(() => props.row.entry.readings ?? [])
/** What is said of it, but for what one of its readings says already. */
const sentences = computed(() =>
  (props.row.entry.sentences ?? []).filter(
    (one) => !readings.value.some((reading) => reading.says.sentence === one.sentence),
  ),
)
/** The reading that is shown; -1 for none yet. */
const taken = computed(() => props.row.chosen ?? (understood.value && readings.value.length ? 0 : -1))
const doubtful = computed(() => !props.row.out && understood.value && props.row.entry.sure === false)
const mending = computed(
  () => !props.row.out && ((!understood.value && !readings.value.length) || open.value),
)
/** It asks nothing, and is left out until it is wanted. */
const asksNothing = computed(() => props.row.out && props.row.entry.out)
const name = computed(() => told(props.row.entry.place))
interface Shown {
  src: string
  alt: string
}

/** Every picture in a value that a small one came along for. */
function picturesIn(value: unknown): Shown[] {
  if (Array.isArray(value)) return value.flatMap(picturesIn)
  if (!value || typeof value !== 'object') return []
  const { media, description } = value as { media?: unknown; description?: string }
  const src = typeof media === 'string' ? props.previews?.[media] : undefined
  return src ? [{ src, alt: description ?? '' }] : Object.values(value).flatMap(picturesIn)
}
const pictures = computed(() => picturesIn(props.row.entry.item))

const files = computed(() => {
  const item = props.row.entry.item as Record<string, unknown> | null | undefined
  const unseen = pictures.value.length
    ? (['sound', 'video'] as const)
    : (['picture', 'sound', 'video'] as const)
  return listed(unseen.filter((one) => item?.[one]).map((one) => t(one)))
})
</script>

<template>
  <li
    v-if="asksNothing"
    class="flex flex-wrap items-baseline gap-x-4 border-b border-rule px-4 py-1.5 text-slate sm:flex-nowrap"
  >
    <span class="figure w-20 shrink-0 text-[15px]">{{ name }}</span>
    <p class="order-last line-clamp-2 w-full min-w-0 wrap-anywhere whitespace-pre-line sm:order-none sm:grow">
      {{ row.entry.text }}
    </p>
    <UiButton v-if="row.entry.item" look="quiet" size="small" class="shrink-0" @click="emit('leave', false)"
      >{{ t('bring_in_as_a_page') }}<span class="sr-only">, {{ name }}</span></UiButton
    >
  </li>
  <li
    v-else
    class="border-b border-rule bg-sheet px-4 py-3"
    :class="[
      !understood && !row.out && 'border-s-4 border-s-wrong',
      doubtful && 'border-s-4 border-s-lamp',
      row.out && 'opacity-60',
    ]"
  >
    <div class="flex flex-wrap items-start gap-x-4 gap-y-1 sm:flex-nowrap">
      <span class="figure w-20 shrink-0 grow pt-0.5 text-[15px] text-slate sm:grow-0">{{ name }}</span>
      <div class="order-last w-full min-w-0 sm:order-none sm:grow">
        <ItemGlance v-if="row.entry.item" :item="row.entry.item" />
        <p
          v-else-if="row.out || readings.length"
          class="line-clamp-6 whitespace-pre-line"
          :class="row.out && 'line-clamp-2 text-slate'"
        >
          {{ row.entry.text }}
        </p>
        <p v-if="pictures.length" class="my-1.5 flex flex-wrap gap-2">
          <img
            v-for="(picture, index) in pictures"
            :key="index"
            :src="picture.src"
            :alt="picture.alt"
            class="max-h-24 max-w-40 rounded border border-rule"
          />
        </p>
        <p v-if="files" class="text-[15px] text-slate">{{ t('with', { files }) }}</p>
        <p v-if="row.entry.item?.by" class="text-[15px] text-slate">
          {{ t('written_by', { by: row.entry.item.by }) }}
        </p>
        <template v-if="!row.out">
          <p
            v-for="sentence in sentences"
            :key="sentence.sentence"
            class="mt-0.5 wrap-anywhere"
            :class="understood ? (doubtful ? 'text-ink' : 'text-slate') : 'font-bold text-wrong'"
          >
            {{ told(sentence) }}
          </p>
          <fieldset v-if="readings.length" class="mt-1.5">
            <legend class="sr-only">{{ t('how_it_is_meant', { name }) }}</legend>
            <label v-for="(reading, at) in readings" :key="at" class="flex items-baseline gap-2.5 py-0.5"
              ><input
                type="radio"
                :name="group"
                :checked="taken === at"
                class="size-4.5 shrink-0 translate-y-0.5 accent-tide"
                @change="emit('choose', at)"
              /><span class="wrap-anywhere">{{ told(reading.says) }}</span></label
            >
          </fieldset>
        </template>
        <div v-if="mending" class="mt-2">
          <textarea
            v-model="text"
            :rows="Math.min(12, Math.max(3, text.split('\n').length + 1))"
            dir="auto"
            spellcheck="false"
            :aria-label="t('its_text', { name })"
            :class="field"
            class="leading-snug"
            @keydown.ctrl.enter="emit('mend', text)"
          />
          <UiButton size="small" class="mt-1" :disabled="busy || !text.trim()" @click="emit('mend', text)"
            >{{ t('read_it_again') }}<span class="sr-only">, {{ name }}</span></UiButton
          >
        </div>
      </div>
      <div class="flex shrink-0 items-end gap-1 sm:flex-col">
        <UiButton v-if="doubtful" size="small" @click="emit('accept')"
          >{{ t('that_is_right') }}<span class="sr-only">, {{ name }}</span></UiButton
        >
        <UiButton
          v-if="!row.out && !open && (understood || readings.length)"
          look="quiet"
          size="small"
          @click="open = true"
          >{{ t('change') }}<span class="sr-only"> {{ name }}</span></UiButton
        >
        <UiButton look="quiet" size="small" @click="emit('leave', !row.out)"
          >{{ row.out ? t('take_it_along') : t('leave_it_out')
          }}<span class="sr-only">, {{ name }}</span></UiButton
        >
      </div>
    </div>
  </li>
</template>
