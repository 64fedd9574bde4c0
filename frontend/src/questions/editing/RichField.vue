<script setup lang="ts">
/**
 * A text with light formatting, typed where it stands: it grows with its text, and shows the
 * formatting while nobody is typing in it.
 */
import { computed, ref } from 'vue'
import { useLanguage } from '@/ui/setLanguage'
import { blockHtml, inlineHtml, wrapSelection } from '@/questions/shared/richtext'

const props = defineProps<{
  label: string
  placeholder?: string
  /** Whether paragraphs and lists mean something; Enter then makes a new line. */
  block?: boolean
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ enter: [] }>()

const field = ref<HTMLTextAreaElement>()
const typing = ref(false)
/** What is typed is in the set's language; what stands there before is the page's. */
const language = useLanguage()
const own = computed(() => (text.value && language()) || undefined)
const html = computed(() => (props.block ? blockHtml(text.value) : inlineHtml(text.value)))
const isPlain = computed(() => !/[*`$\\]|^\s*([-+]|\d+[.)])\s/m.test(text.value))
const showsSource = computed(() => typing.value || isPlain.value)

const MARKS: Record<string, string> = { b: '**', i: '*', '`': '`' }

function onKey(event: KeyboardEvent): void {
  const marks = (event.ctrlKey || event.metaKey) && MARKS[event.key.toLowerCase()]
  if (marks && field.value) {
    event.preventDefault()
    text.value = wrapSelection(field.value, marks)
  } else if (event.key === 'Enter' && !props.block && !event.shiftKey && !event.ctrlKey && !event.metaKey) {
    event.preventDefault()
    emit('enter')
  }
}
</script>

<template>
  <div class="grid rounded px-1.5 py-1 hover:bg-fog has-focus-visible:bg-fog">
    <textarea
      ref="field"
      v-model="text"
      rows="1"
      :dir="text ? 'auto' : undefined"
      :lang="own"
      class="col-start-1 row-start-1 resize-none overflow-hidden bg-transparent outline-none"
      :class="!showsSource && 'opacity-0'"
      :aria-label="label"
      :placeholder="placeholder"
      @keydown="onKey"
      @focus="typing = true"
      @blur="typing = false"
    />
    <div
      aria-hidden="true"
      :dir="text ? 'auto' : undefined"
      :lang="own"
      class="pointer-events-none col-start-1 row-start-1 wrap-anywhere"
      :class="showsSource && 'invisible whitespace-pre-wrap'"
    >
      <template v-if="showsSource">{{ text }}&#8203;</template>
      <div v-else class="prose" v-html="html" />
    </div>
  </div>
</template>
