<script setup lang="ts">
/** A number is typed; how it is read, or why it cannot be, is said before it is sent. */
import { onUnmounted, ref } from 'vue'
import { Refusal } from '@/api/refusal'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { useReading } from '@/questions/shared/reading'
import { t } from './words'
import { language } from '@/words'

type Given = StudentAnswerOf<'numeric_entry'>

const props = defineProps<{
  item: PublicItemOf<'numeric_entry'>
  answer: Given | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: Given | null] }>()

const WAIT_MS = 350
const text = ref(props.answer?.text ?? '')
const readAs = ref('')
const said = ref('')
const readingOf = useReading()
let timer: ReturnType<typeof setTimeout> | undefined
let asked = 0

function write(): void {
  clearTimeout(timer)
  asked += 1
  said.value = readAs.value = ''
  const answer = /\p{N}/u.test(text.value) ? { kind: 'numeric_entry' as const, text: text.value } : null
  emit('update', answer)
  if (answer) timer = setTimeout(() => void read(answer), WAIT_MS)
}

/** Without a connection nothing is said: the answer is kept and read when it arrives. */
async function read(answer: Given): Promise<void> {
  const round = ++asked
  const found = await readingOf(props.item.id, answer).catch((error: unknown) => error)
  if (round !== asked) return
  if (typeof found === 'string') readAs.value = found
  else if (found instanceof Refusal && found.family === 'bad_answer') {
    said.value = found.sentence
    emit('update', null)
  }
}

onUnmounted(() => clearTimeout(timer))
</script>

<template>
  <label class="block font-bold" :for="`number-${item.id}`" :lang="language" dir="auto">{{
    t('your_number')
  }}</label>
  <div class="mt-1 flex items-center gap-3">
    <input
      :id="`number-${item.id}`"
      v-model="text"
      type="text"
      inputmode="text"
      autocomplete="off"
      autocapitalize="none"
      maxlength="60"
      class="w-full rounded border-2 border-ink bg-sheet px-3 py-3 font-display text-2xl disabled:border-rule"
      :aria-invalid="!!said"
      :aria-describedby="`reading-${item.id}`"
      :disabled="disabled"
      @input="write"
    />
    <span v-if="item.unit" class="shrink-0 text-xl">{{ item.unit }}</span>
  </div>
  <p
    :id="`reading-${item.id}`"
    class="mt-2 min-h-6"
    :class="said ? 'text-wrong' : 'text-slate'"
    role="status"
  >
    {{ said || (readAs && t('read_as', { number: readAs })) }}
  </p>
</template>
