<script setup lang="ts">
/** A question that was not prepared: a form and, if one likes, its words; Enter asks it. */
import { refDebounced, useLocalStorage } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf, told } from '@/told'
import type { Item } from '@/api/types'
import ItemGlance from '@/questions/ItemGlance.vue'
import { field, smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import SegmentedChoice from '../run/SegmentedChoice.vue'
import { inItsLanguage, quickForms, quickItem, type QuickForm } from './quick'
import type { Desk } from './useDesk'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ desk: Desk }>()
const emit = defineEmits<{ close: [] }>()

const form = useLocalStorage<QuickForm | 'typed'>('lantern.ask-now', 'letters')
const letters = useLocalStorage('lantern.ask-now-letters', 5)
const prompt = ref('')
const text = ref('')
const typed = shallowRef<Item | null>(null)
const problem = ref('')
const settled = refDebounced(text, 250)

const COUNTS = Array.from('BCDEFGH', (last, at) => ({ count: at + 2, words: t('a_to', { last }) }))
const HINTS: Record<typeof form.value, string> = {
  letters: t('for_what_stands_on_the_board'),
  yes_no: t('two_answers'),
  number: t('everybody_types_a_number_the_class'),
  word: t('one_word_from_each_the_class'),
  text: t('a_sentence_or_two_from_each'),
  typed: t('any_kind_a_line'),
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
    const { entries } = await data(api.POST('/api/exchange/mend', { body: { text: read, language: '' } }))
    if (read !== text.value) return // something else has been typed meanwhile
    typed.value = (entries.length === 1 && (entries[0]!.item as Item)) || null
    const why = entries[0]?.sentences?.[0]
    problem.value = typed.value
      ? ''
      : entries.length > 1
        ? t('these_are_several_questions_ask')
        : why
          ? told(why)
          : t('this_is_no_question_yet')
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
  <UiDialog open wide :title="t('ask_now')" @close="emit('close')">
    <form @submit.prevent="ask">
      <SegmentedChoice v-model="form" :label="t('answered_with')" :options="quickForms()" />
      <p class="mt-2 text-[15px] text-slate">{{ HINTS[form] }}</p>
      <label v-if="form === 'letters'" class="mt-3 flex items-center gap-3"
        >{{ t('how_many') }}
        <select v-model="letters" :class="smallField">
          <option v-for="one in COUNTS" :key="one.count" :value="one.count">{{ one.words }}</option>
        </select>
      </label>
      <template v-if="form === 'typed'">
        <label class="mt-3 block"
          ><span class="mb-1 block font-bold">{{ t('the_question') }}</span>
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
        <div v-else-if="typed" class="mt-2 border-s-4 border-rule ps-3" aria-live="polite">
          <ItemGlance :item="typed" />
        </div>
      </template>
      <label v-else class="mt-3 block"
        ><span class="mb-1 block font-bold">{{ t('what_you_ask_unless_you_say') }}</span>
        <input v-model="prompt" dir="auto" maxlength="1000" :class="field" autocomplete="off" />
      </label>
      <p class="mt-3 text-[15px] text-slate">
        {{ t('there_is_no_limit_of_time') }}
      </p>
      <div class="mt-4 flex flex-wrap gap-3">
        <UiButton type="submit" look="main" size="large" :disabled="!item || desk.pending.value > 0">{{
          t('ask_it')
        }}</UiButton>
        <UiButton size="large" @click="emit('close')">{{ common('not_now') }}</UiButton>
      </div>
    </form>
  </UiDialog>
</template>
