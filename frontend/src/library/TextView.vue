<script setup lang="ts">
/** The whole set as text. What is not understood is told by its line; nothing is taken over before all is. */
import { onMounted, ref, shallowRef } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf, told } from '@/told'
import type { Item, Misread } from '@/api/types'
import { field } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import type { Draft } from './changes'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ draft: Draft }>()
const emit = defineEmits<{ take: [draft: Draft]; close: [] }>()

const text = ref('')
const error = ref('')
const misread = shallowRef<readonly Misread[]>([])
const area = ref<HTMLTextAreaElement>()

onMounted(async () => {
  try {
    text.value = (await data(api.POST('/api/sets/write-text', { body: props.draft }))).text
  } catch (failure) {
    error.value = sentenceOf(failure)
  }
})

async function take(): Promise<void> {
  error.value = ''
  try {
    const body = { text: text.value, present: props.draft.items }
    const read = await data(api.POST('/api/sets/read-text', { body }))
    misread.value = read.misread
    if (read.misread.length) return goTo(read.misread[0]!.line)
    const { title, about, items } = read.content
    emit('take', { title, about: about ?? {}, items: (items ?? []) as Item[] })
  } catch (failure) {
    error.value = sentenceOf(failure)
  }
}

/** Selects a line of the text. */
function goTo(line: number): void {
  const before = text.value.split('\n').slice(0, line - 1)
  const start = before.join('\n').length + (before.length ? 1 : 0)
  const end = text.value.indexOf('\n', start)
  area.value?.focus()
  area.value?.setSelectionRange(start, end < 0 ? text.value.length : end)
}

function download(): void {
  const url = URL.createObjectURL(new Blob([text.value], { type: 'text/markdown' }))
  Object.assign(document.createElement('a'), {
    href: url,
    download: `${props.draft.title || 'set'}.md`,
  }).click()
  URL.revokeObjectURL(url)
}
</script>

<template>
  <UiDialog open wide :title="t('the_set_as_text_2')" @close="emit('close')">
    <label class="block"
      >{{ t('a_line_with_begins_a_question') }}
      <textarea
        ref="area"
        v-model="text"
        rows="18"
        spellcheck="false"
        dir="auto"
        :class="field"
        class="mt-2 font-mono text-sm leading-snug"
      />
    </label>
    <p v-if="error" role="alert" class="mt-2 text-wrong">{{ error }}</p>
    <div v-if="misread.length" role="alert" class="mt-2 text-wrong">
      <p>{{ t('places_not_understood_nothing_has_been', { n: misread.length }) }}</p>
      <ul>
        <li v-for="(place, index) in misread" :key="index">
          <button type="button" class="min-h-6 text-start underline" @click="goTo(place.line)">
            {{ t('line', { line: place.line, sentence: told(place.why) }) }}
          </button>
        </li>
      </ul>
    </div>
    <div class="mt-4 flex flex-wrap justify-end gap-3">
      <UiButton look="quiet" class="me-auto" @click="download">{{ t('save_as_a_file_md') }}</UiButton>
      <UiButton @click="emit('close')">{{ common('cancel') }}</UiButton>
      <UiButton look="main" @click="take">{{ t('take_it_over') }}</UiButton>
    </div>
  </UiDialog>
</template>
