<script setup lang="ts">
/** Where questions come from: pasted, dropped, or chosen. */
import { ref } from 'vue'
import FileDrop from '@/ui/FileDrop.vue'
import UiButton from '@/ui/UiButton.vue'
import { field } from '@/ui/recipes'
import { textOfHtml } from './pastedHtml'

defineProps<{ busy: boolean }>()
const emit = defineEmits<{ text: [text: string]; file: [file: File] }>()
const text = ref('')

/** Bold letters often say what is right: they are kept when a page or a document is pasted. */
function paste(event: ClipboardEvent): void {
  const html = event.clipboardData?.getData('text/html')
  const marked = html ? textOfHtml(html) : null
  const area = event.target as HTMLTextAreaElement
  if (marked === null) return
  event.preventDefault()
  area.setRangeText(marked, area.selectionStart, area.selectionEnd, 'end')
  text.value = area.value
}

const EXAMPLE = `1. Which knot makes a loop?
   a) Reef knot
   b) Bowline *
   c) Sheet bend
Why: It holds under load.

2. The tide rises for ____ hours.
Answer: six

bow – the front of a ship
stern – the back of a ship
keel – the bottom of a ship`
</script>

<template>
  <div class="grid gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
    <form @submit.prevent="emit('text', text)">
      <label class="block"
        ><span class="font-bold">Paste your questions</span>
        <textarea
          v-model="text"
          rows="15"
          dir="auto"
          spellcheck="false"
          :class="field"
          class="mt-2 leading-snug"
          :placeholder="EXAMPLE"
          @paste="paste"
        />
      </label>
      <p class="mt-1 text-[15px] text-slate">
        Mark what is right with a star, a tick, bold letters or “(correct)”; or write “Answer: B” below, or a
        key at the end.
      </p>
      <UiButton look="main" type="submit" class="mt-3" :disabled="busy || !text.trim()">{{
        busy ? 'Reading…' : 'Read it'
      }}</UiButton>
    </form>
    <div>
      <p class="font-bold">Or bring a file</p>
      <FileDrop
        :busy="busy"
        reading="Reading it. A long document takes a while…"
        @file="emit('file', $event)"
      />
      <dl class="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[15px]">
        <dt class="font-bold">Spreadsheet</dt>
        <dd>xlsx, ods, csv</dd>
        <dt class="font-bold">Test package</dt>
        <dd>QTI 3.0 and 2.1 (zip)</dd>
        <dt class="font-bold">Document</dt>
        <dd>docx, pptx, pdf</dd>
        <dt class="font-bold">Text</dt>
        <dd>txt, md</dd>
        <dt class="font-bold">From here</dt>
        <dd>json, zip with media</dd>
      </dl>
      <p class="mt-4 text-[15px]">
        Do your students write the questions? Give them
        <a class="text-tide underline" href="/api/exchange/template.xlsx">a spreadsheet to fill in</a>
        (<a class="text-tide underline" href="/api/exchange/template.ods">ods</a>,
        <a class="text-tide underline" href="/api/exchange/template.csv">csv</a>); their names are kept.
      </p>
    </div>
  </div>
</template>
