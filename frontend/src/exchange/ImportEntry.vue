<script setup lang="ts">
/** One thing that was found: understood, or to be mended here. */
import { computed, ref, watch } from 'vue'
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
const emit = defineEmits<{ mend: [text: string]; leave: [out: boolean] }>()

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
const mending = computed(() => !props.row.out && (!understood.value || open.value))
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
    class="border-b border-rule bg-sheet px-4 py-3"
    :class="[!understood && !row.out && 'border-s-4 border-s-wrong', row.out && 'opacity-60']"
  >
    <div class="flex flex-wrap items-start gap-x-4 gap-y-1 sm:flex-nowrap">
      <span class="figure w-20 shrink-0 grow pt-0.5 text-[15px] text-slate sm:grow-0">{{ name }}</span>
      <div class="order-last w-full min-w-0 sm:order-none sm:grow">
        <ItemGlance v-if="row.entry.item" :item="row.entry.item" />
        <p v-else-if="row.out" class="line-clamp-2 whitespace-pre-line text-slate">{{ row.entry.text }}</p>
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
            v-for="sentence in row.entry.sentences"
            :key="sentence.sentence"
            class="mt-0.5"
            :class="understood ? 'text-slate' : 'font-bold text-wrong'"
          >
            {{ told(sentence) }}
          </p>
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
        <UiButton v-if="understood && !row.out && !open" look="quiet" size="small" @click="open = true"
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
