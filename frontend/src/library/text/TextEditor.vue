<script setup lang="ts">
/** A text with numbered lines, and a mark at each line that is not understood. */
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands'
import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language'
import { lintGutter, setDiagnostics } from '@codemirror/lint'
import { EditorState, type Text } from '@codemirror/state'
import { EditorView, keymap, lineNumbers } from '@codemirror/view'
import { tags } from '@lezer/highlight'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'

export interface LineProblem {
  line: number
  says: string
}

const text = defineModel<string>({ required: true })
const props = defineProps<{ label: string; problems: readonly LineProblem[] }>()
const emit = defineEmits<{ line: [number: number] }>()

const LINE = [
  [/^##( .*)?$/, 'heading'],
  [/^::.*$/, 'meta'],
  [/^>.*$/, 'quote'],
  [/^---$/, 'meta'],
  [/^- \[[x\d]+\]/, 'strong'],
] as const

const signs = StreamLanguage.define({
  token(stream) {
    const kind = stream.sol() ? LINE.find(([form]) => stream.match(form))?.[1] : undefined
    if (!kind && !stream.match(/!?\[[^\]]*\]\(media:[^)]*\)/)) {
      stream.next()
      stream.eatWhile(/[^![]/)
      return null
    }
    return kind ?? 'link'
  },
})
const colours = HighlightStyle.define([
  { tag: tags.heading, fontWeight: '700' },
  { tag: [tags.meta, tags.quote], color: 'var(--color-slate)' },
  { tag: tags.strong, fontWeight: '700', color: 'var(--color-right)' },
  { tag: tags.link, color: 'var(--color-tide)' },
])
const look = EditorView.theme({
  '&': { height: '100%', color: 'var(--color-ink)', backgroundColor: 'var(--color-sheet)' },
  '&.cm-focused': { outline: 'none' },
  '.cm-scroller': { fontFamily: 'ui-monospace, monospace', fontSize: '0.9rem', lineHeight: '1.5' },
  '.cm-line': { unicodeBidi: 'plaintext', paddingInlineEnd: '1rem' },
  '.cm-gutters': {
    backgroundColor: 'var(--color-fog)',
    color: 'var(--color-slate)',
    borderInlineEnd: '1px solid var(--color-rule)',
  },
  '.cm-tooltip': {
    backgroundColor: 'var(--color-sheet)',
    color: 'var(--color-ink)',
    border: '1px solid var(--color-slate)',
    fontFamily: 'inherit',
  },
})

const host = ref<HTMLElement>()
let view: EditorView | undefined

function marks(document: Text) {
  return props.problems
    .filter((one) => one.line <= document.lines)
    .map((one) => {
      const { from, to } = document.line(Math.max(1, one.line))
      return { from, to, severity: 'error' as const, message: one.says }
    })
}
const mark = () => view?.dispatch(setDiagnostics(view.state, marks(view.state.doc)))

onMounted(() => {
  // Its styles are adopted by a tree of their own, which the page's policy for styles allows.
  const root = host.value!.attachShadow({ mode: 'open' })
  view = new EditorView({
    root,
    parent: root,
    doc: text.value,
    extensions: [
      lineNumbers(),
      lintGutter(),
      history(),
      signs,
      syntaxHighlighting(colours),
      look,
      EditorView.lineWrapping,
      EditorState.tabSize.of(4),
      keymap.of([...defaultKeymap, ...historyKeymap]),
      EditorView.contentAttributes.of({ 'aria-label': props.label, tabindex: '0' }),
      EditorView.updateListener.of((update) => {
        if (update.docChanged) text.value = update.state.doc.toString()
        if (update.docChanged || update.selectionSet)
          emit('line', update.state.doc.lineAt(update.state.selection.main.head).number)
      }),
    ],
  })
  mark()
})
onBeforeUnmount(() => view?.destroy())

watch(text, (now) => {
  if (view && now !== view.state.doc.toString())
    view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: now } })
})
watch(() => props.problems, mark)

/** Puts the cursor at the end of a line, and the line into sight. */
function goTo(line: number): void {
  if (!view) return
  const place = view.state.doc.line(Math.min(Math.max(1, line), view.state.doc.lines))
  view.dispatch({
    selection: { anchor: place.to },
    effects: EditorView.scrollIntoView(place.from, { y: 'center' }),
  })
  view.focus()
}
defineExpose({ goTo })
</script>

<template>
  <div
    ref="host"
    data-lines
    class="overflow-hidden rounded border border-edge focus-within:outline-3 focus-within:outline-tide"
  />
</template>
