<script setup lang="ts">
/** A session's title and its teacher's note, each to be written over where it stands. */
import { nextTick, ref } from 'vue'
import { useSessionChanges } from './useSessionChanges'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ id: number; title: string; note: string }>()
const { change } = useSessionChanges()
const typing = ref<'title' | 'note' | null>(null)
const text = ref('')
const input = ref<HTMLInputElement | HTMLTextAreaElement>()

async function start(what: 'title' | 'note'): Promise<void> {
  typing.value = what
  text.value = props[what]
  await nextTick()
  input.value?.select()
}

async function finish(): Promise<void> {
  const what = typing.value
  typing.value = null
  if (what && text.value !== props[what])
    await change({ id: props.id, title: props.title }, { [what]: text.value })
}
const link = 'pt-2 text-[15px] font-bold text-tide hover:underline'
</script>

<template>
  <div class="min-w-0">
    <div class="flex flex-wrap items-center gap-x-3">
      <input
        v-if="typing === 'title'"
        ref="input"
        v-model="text"
        :aria-label="t('title_of_the_session')"
        maxlength="200"
        class="figure rounded border border-edge bg-sheet px-2 text-3xl"
        @keydown.enter="finish"
        @keydown.esc="typing = null"
        @blur="finish"
      />
      <template v-else>
        <h1 class="text-3xl wrap-anywhere" dir="auto">{{ title || common('untitled_set') }}</h1>
        <button type="button" :class="link" @click="start('title')">{{ t('rename') }}</button>
        <button v-if="!note" type="button" :class="link" @click="start('note')">
          {{ t('write_a_note') }}
        </button>
      </template>
    </div>
    <textarea
      v-if="typing === 'note'"
      ref="input"
      v-model="text"
      :aria-label="t('note_for_you_alone')"
      :placeholder="t('for_you_alone_what_you_want')"
      maxlength="2000"
      rows="2"
      class="mt-1 block w-full max-w-prose rounded border border-edge bg-sheet px-2 py-1"
      @keydown.esc="typing = null"
      @blur="finish"
    />
    <p v-else-if="note" class="max-w-prose whitespace-pre-line wrap-anywhere" dir="auto">
      {{ note }}
      <button type="button" class="text-[15px] font-bold text-tide hover:underline" @click="start('note')">
        {{ t('change_the_note') }}
      </button>
    </p>
  </div>
</template>
