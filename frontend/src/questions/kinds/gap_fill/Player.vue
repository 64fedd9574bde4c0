<script setup lang="ts">
/** The text with a field, or a list of words, in each gap. */
import { computed, ref } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'

const props = defineProps<{
  item: PublicItemOf<'gap_fill'>
  answer: StudentAnswerOf<'gap_fill'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'gap_fill'> | null] }>()

const gaps = props.item.stretches.filter((stretch) => stretch.gap !== null)
const texts = ref(props.answer?.texts ?? gaps.map(() => ''))
const used = computed(() => new Set(texts.value))

function write(gap: number, text: string): void {
  texts.value = texts.value.map((old, at) => (at === gap ? text : old))
  const filled = texts.value.some((one) => one.trim())
  emit('update', filled ? { kind: 'gap_fill', texts: texts.value } : null)
}
</script>

<template>
  <div>
    <ul v-if="item.bank.length" class="mb-4 flex flex-wrap gap-2" aria-label="Words">
      <li
        v-for="(word, index) in item.bank"
        :key="index"
        class="rounded border border-edge bg-sheet px-2.5 py-1"
        :class="used.has(word) && 'text-slate line-through'"
      >
        {{ word }}
      </li>
    </ul>
    <p class="text-lg leading-[2.9]" dir="auto" :lang="item.language || undefined">
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
            :aria-label="`Gap ${stretch.gap + 1}`"
            :value="texts[stretch.gap]"
            :disabled="disabled"
            @input="write(stretch.gap, ($event.target as HTMLInputElement).value)"
          /><select
            v-else
            class="min-h-11 max-w-full rounded border-2 border-ink bg-sheet px-2 text-lg leading-normal disabled:border-rule"
            :aria-label="`Gap ${stretch.gap + 1}`"
            :value="texts[stretch.gap]"
            :disabled="disabled"
            @change="write(stretch.gap, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">…</option>
            <option
              v-for="(word, at) in item.way === 'chosen' ? stretch.choices : item.bank"
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
