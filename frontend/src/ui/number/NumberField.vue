<script setup lang="ts" generic="N extends number | string">
/**
 * A number being typed. What stands in the field is left alone while somebody types "0." on the way to 0.5; how it is
 * read stands beside it as soon as that is not plain. `exact` keeps it as text, with every figure.
 */
import { onUnmounted, ref, useId, watch } from 'vue'
import { readNumber, unread } from '@/ui/number/typedNumber'
import { useLanguage } from '@/ui/setLanguage'
import { t } from '@/ui/words'

defineOptions({ inheritAttrs: false })
const number = defineModel<N | null>({ required: true })
const props = defineProps<{ exact?: boolean }>()

const WAIT_MS = 150
const shown = (value: N | null): string => (value === null ? '' : String(value))
const text = ref(shown(number.value))
const typing = ref(false)
const said = ref('')
const readAs = ref('')
const language = useLanguage()
const id = useId()
let timer: ReturnType<typeof setTimeout> | undefined
let asked = 0
let waiting = false

onUnmounted(() => {
  clearTimeout(timer)
  wait(false)
})

watch(number, (value) => {
  if (!typing.value) text.value = shown(value)
})

function later(): void {
  wait(true)
  clearTimeout(timer)
  timer = setTimeout(() => void read(), WAIT_MS)
}

/** Whether what stands in the field still has to be read; the editor asks for the sum of it. */
function wait(on: boolean): void {
  if (on !== waiting) unread.value += on ? 1 : -1
  waiting = on
}

async function read(): Promise<void> {
  clearTimeout(timer)
  timer = undefined
  const round = ++asked
  const { value, sentence } = await readNumber(text.value, language())
  if (round !== asked || timer) return
  wait(false)
  said.value = sentence
  readAs.value = value === null || value === text.value.trim() ? '' : value
  number.value = (value === null || props.exact ? value : Number(value)) as N | null
}

async function leave(): Promise<void> {
  if (timer) await read()
  typing.value = false
  readAs.value = ''
  if (!said.value) text.value = shown(number.value)
}
</script>

<template>
  <span class="inline-flex flex-wrap items-baseline gap-x-2">
    <input
      v-bind="$attrs"
      v-model="text"
      type="text"
      inputmode="decimal"
      autocomplete="off"
      class="w-28 rounded border border-edge bg-sheet px-2 py-1"
      :aria-invalid="!!said"
      :aria-describedby="said || readAs ? id : undefined"
      @focus="typing = true"
      @input="later"
      @blur="leave"
    />
    <span
      v-if="said || readAs"
      :id="id"
      role="status"
      class="text-sm"
      :class="said ? 'text-wrong' : 'text-slate'"
      >{{ said || t('read_as', { read_as: readAs }) }}</span
    >
  </span>
</template>
