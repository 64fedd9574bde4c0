<script setup lang="ts">
/** The text with a field, or a list of words, in each gap. */
import { computed, ref } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { language } from '@/words'
import { t } from './words'

const props = defineProps<{
  item: PublicItemOf<'gap_fill'>
  answer: StudentAnswerOf<'gap_fill'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'gap_fill'> | null] }>()

const gaps = props.item.stretches.filter((stretch) => stretch.gap !== null)
const texts = ref(props.answer?.texts ?? gaps.map(() => ''))

/** Each word of the bank with whether it is taken: a word that stands there twice can be taken twice. */
const bank = computed(() => {
  const left = [...texts.value]
  return props.item.bank.map((word) => {
    const at = left.indexOf(word)
    if (at >= 0) left.splice(at, 1)
    return { word, taken: at >= 0 }
  })
})
const words = computed(() => [...new Set(props.item.bank)])

/** A word of the bank that is used up elsewhere moves here. */
function choose(gap: number, word: string): void {
  const left = bank.value.some((one) => one.word === word && !one.taken)
  const elsewhere = texts.value.findIndex((text, at) => text === word && at !== gap)
  if (word && props.item.way === 'bank' && !left && elsewhere >= 0) {
    texts.value = texts.value.map((text, at) => (at === elsewhere ? '' : text))
  }
  write(gap, word)
}

function write(gap: number, text: string): void {
  texts.value = texts.value.map((old, at) => (at === gap ? text : old))
  const filled = texts.value.some((one) => one.trim())
  emit('update', filled ? { kind: 'gap_fill', texts: texts.value } : null)
}
</script>

<template>
  <div>
    <p v-if="item.bank.length" :id="`bank-${item.id}`" class="sr-only" :lang="language">{{ t('words') }}</p>
    <ul
      v-if="item.bank.length"
      class="mb-4 flex flex-wrap gap-2"
      :aria-labelledby="`bank-${item.id}`"
      data-read="bank"
    >
      <li
        v-for="({ word, taken }, index) in bank"
        :key="index"
        class="rounded border border-edge bg-sheet px-2.5 py-1"
        :class="taken && 'text-slate line-through'"
      >
        {{ word }}
      </li>
    </ul>
    <p data-read="text" class="text-lg leading-[2.9]" dir="auto" :lang="item.language || undefined">
      <template v-for="(stretch, index) in item.stretches" :key="index"
        ><span v-html="stretch.html" /><template v-if="stretch.gap !== null && stretch.gap !== undefined"
          ><input
            v-if="item.way === 'typed'"
            type="text"
            class="min-h-11 w-36 rounded border-2 border-ink bg-sheet px-2 text-lg leading-normal disabled:border-rule"
            autocomplete="off"
            autocapitalize="none"
            spellcheck="false"
            maxlength="200"
            :aria-label="t('gap', { number: stretch.gap + 1 })"
            :value="texts[stretch.gap]"
            :disabled="disabled"
            @input="write(stretch.gap, ($event.target as HTMLInputElement).value)"
          /><select
            v-else
            class="min-h-11 max-w-full rounded border-2 border-ink bg-sheet px-2 text-lg leading-normal disabled:border-rule"
            :aria-label="t('gap', { number: stretch.gap + 1 })"
            :value="texts[stretch.gap]"
            :disabled="disabled"
            @change="choose(stretch.gap, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">…</option>
            <option
              v-for="(word, at) in item.way === 'chosen' ? stretch.choices : words"
              :key="at"
              :value="word"
            >
              {{ word }}
            </option>
          </select></template
        ></template
      >
    </p>
  </div>
</template>
