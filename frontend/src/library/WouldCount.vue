<script setup lang="ts">
/** Would this count? A text as a student might type it, with its mark and the reason; near misses are offered. */
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { Item, Verdict } from '@/api/types'
import type { TypedPart } from '@/questions/editing/kindEditing'
import VerdictLine from '@/questions/editing/VerdictLine.vue'
import { smallField } from '@/ui/recipes'
import { t } from './words'

const props = defineProps<{ set: number; item: Item; parts: readonly TypedPart[] }>()

const WAIT_MS = 250
const text = ref('')
const part = ref(props.parts[0]?.part ?? '')
const verdict = ref<Verdict | null>(null)
const misses = ref<Verdict[]>([])
const failure = ref('')
let asked = 0
let timer: ReturnType<typeof setTimeout> | undefined

async function ask(typed: string | null): Promise<Verdict[]> {
  const body = { item: props.item, text: typed, part: part.value }
  const params = { path: { set_id: props.set } }
  return (await data(api.POST('/api/sets/{set_id}/would-count', { params, body }))).verdicts
}

/** The question changes as one types: everything is asked anew, the last time counts. */
async function look(): Promise<void> {
  const round = ++asked
  try {
    const typed = text.value.trim() ? (await ask(text.value))[0]! : null
    const near = await ask(null)
    if (round !== asked) return
    verdict.value = typed
    misses.value = near
    failure.value = ''
  } catch (error) {
    if (round === asked) failure.value = sentenceOf(error)
  }
}

watch(
  () => [props.item, text.value, part.value] as const,
  () => {
    clearTimeout(timer)
    timer = setTimeout(() => void look(), WAIT_MS)
  },
  { immediate: true },
)

const shown = computed(() =>
  misses.value.filter((one) => props.parts.length === 1 || one.part === part.value),
)
const label = computed(() => {
  const named = props.parts.find((one) => one.part === part.value)?.name
  return named ? t('what_a_student_might_type_in', { part: named }) : t('what_a_student_might_type')
})
</script>

<template>
  <div class="mt-2 ms-1.5 rounded border border-rule px-3 py-2.5 text-[15px]">
    <div class="flex flex-wrap items-center gap-2">
      <select v-if="parts.length > 1" v-model="part" :aria-label="t('which_gap')" :class="smallField">
        <option v-for="one in parts" :key="one.part" :value="one.part">{{ one.name }}</option>
      </select>
      <input
        v-model="text"
        type="text"
        dir="auto"
        maxlength="300"
        autocomplete="off"
        spellcheck="false"
        class="min-w-0 grow"
        :class="smallField"
        :aria-label="label"
        :placeholder="label"
      />
    </div>
    <p v-if="failure" role="alert" class="mt-2 text-wrong">{{ failure }}</p>
    <div role="status">
      <VerdictLine v-if="verdict && text.trim()" :verdict="verdict" class="mt-2 font-bold" />
    </div>
    <template v-if="shown.length">
      <p class="mt-2.5 text-slate">{{ t('near_misses_as_they_would') }}</p>
      <ul>
        <li v-for="miss in shown" :key="miss.part + miss.text" class="mt-1">
          <VerdictLine :verdict="miss" with-text />
        </li>
      </ul>
    </template>
    <p v-else-if="!failure" class="mt-2 text-slate">
      {{ t('write_the_right_answer_first_then') }}
    </p>
  </div>
</template>
