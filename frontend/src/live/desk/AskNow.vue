<script setup lang="ts">
/** A question that was not prepared: a form and, if one likes, its words; Enter asks it. */
import { refDebounced, useLocalStorage } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { Item } from '@/api/types'
import ItemGlance from '@/questions/ItemGlance.vue'
import { field, smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import SegmentedChoice from '../run/SegmentedChoice.vue'
import { FORMS, inItsLanguage, quickItem } from './quick'
import type { Desk } from './useDesk'

const props = defineProps<{ desk: Desk }>()
const emit = defineEmits<{ close: [] }>()

const form = useLocalStorage<(typeof FORMS)[number]['value']>('lantern.ask-now', 'letters')
const letters = useLocalStorage('lantern.ask-now-letters', 5)
const prompt = ref('')
const text = ref('')
const typed = shallowRef<Item | null>(null)
const problem = ref('')
const settled = refDebounced(text, 250)

const COUNTS = Array.from('BCDEFGH', (last, at) => ({ count: at + 2, words: `A to ${last}` }))
const HINTS: Record<typeof form.value, string> = {
  letters: 'For what stands on the board or in the book.',
  yes_no: 'Two answers.',
  number: 'Everybody types a number; the class sees how they are spread.',
  word: 'One word from each; the class sees the commonest largest.',
  text: 'A sentence or two from each.',
  typed:
    'Any kind. A line for the question, options below it as a), b), c); * after the right one, if it is to be said.',
}
const item = computed(() =>
  form.value === 'typed' ? typed.value : quickItem(form.value, prompt.value, letters.value),
)

watch(settled, look)

async function look(): Promise<void> {
  problem.value = ''
  const read = text.value
  if (!read.trim()) return void (typed.value = null)
  try {
    const { entries } = await data(
      api.POST('/api/exchange/mend', { body: { text: read, place: '', language: '' } }),
    )
    if (read !== text.value) return // something else has been typed meanwhile
    typed.value = (entries.length === 1 && (entries[0]!.item as Item)) || null
    problem.value = typed.value
      ? ''
      : entries.length > 1
        ? 'These are several questions. Ask one at a time.'
        : (entries[0]?.sentences?.[0] ?? 'This is no question yet.')
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}

async function ask(): Promise<void> {
  if (form.value === 'typed') await look()
  const isUnprepared = props.desk.view.value?.run.every((row) => row.asked_now) ?? false
  if (!item.value) return
  const asked = inItsLanguage(item.value, isUnprepared, navigator.language)
  if (await props.desk.askNow(asked)) emit('close')
}
</script>

<template>
  <UiDialog open wide title="Ask now" @close="emit('close')">
    <form @submit.prevent="ask">
      <SegmentedChoice v-model="form" label="Answered with" :options="FORMS" />
      <p class="mt-2 text-[15px] text-slate">{{ HINTS[form] }}</p>
      <label v-if="form === 'letters'" class="mt-3 flex items-center gap-3"
        >How many
        <select v-model="letters" :class="smallField">
          <option v-for="one in COUNTS" :key="one.count" :value="one.count">{{ one.words }}</option>
        </select>
      </label>
      <template v-if="form === 'typed'">
        <label class="mt-3 block"
          ><span class="mb-1 block font-bold">The question</span>
          <textarea
            v-model="text"
            rows="5"
            dir="auto"
            :class="field"
            @keydown.ctrl.enter.prevent="ask"
            @keydown.meta.enter.prevent="ask"
          />
        </label>
        <p v-if="problem" role="alert" class="mt-1 text-wrong">{{ problem }}</p>
        <div v-else-if="typed" class="mt-2 border-l-4 border-rule pl-3" aria-live="polite">
          <ItemGlance :item="typed" />
        </div>
      </template>
      <label v-else class="mt-3 block"
        ><span class="mb-1 block font-bold">What you ask, unless you say it aloud</span>
        <input v-model="prompt" dir="auto" maxlength="1000" :class="field" autocomplete="off" />
      </label>
      <p class="mt-3 text-[15px] text-slate">
        There is no limit of time: the clock counts up until you close it. What is right can be said
        afterwards.
      </p>
      <div class="mt-4 flex flex-wrap gap-3">
        <UiButton type="submit" look="main" size="large" :disabled="!item || desk.pending.value > 0"
          >Ask it</UiButton
        >
        <UiButton size="large" @click="emit('close')">Not now</UiButton>
      </div>
    </form>
  </UiDialog>
</template>
