<script setup lang="ts">
/** Where questions come from: pasted, dropped, or chosen. */
import { ref } from 'vue'
import { I18nT } from 'vue-i18n'
import { api, data } from '@/api/http'
import FileDrop from '@/ui/FileDrop.vue'
import UiButton from '@/ui/UiButton.vue'
import { field } from '@/ui/recipes'
import { t } from './words'

defineProps<{ busy: boolean }>()
const emit = defineEmits<{ text: [text: string]; file: [file: File] }>()
const text = ref('')

/** What plain text would lose: bold letters and ticks that say what is right, lists, tables, formulas. */
const SAYS_MORE = /<(b|strong|mark|li|table|math|input)\b|font-weight|background|color\s*:/i

/** A copied page or document is written out as text by the server; if that cannot be reached, as the browser has it. */
async function paste(event: ClipboardEvent): Promise<void> {
  const html = event.clipboardData?.getData('text/html') ?? ''
  const plain = event.clipboardData?.getData('text/plain') ?? ''
  const area = event.target as HTMLTextAreaElement
  if (!SAYS_MORE.test(html)) return
  event.preventDefault()
  const copied = await data(api.POST('/api/exchange/text', { body: { html } })).catch(() => null)
  area.setRangeText(copied?.text || plain, area.selectionStart, area.selectionEnd, 'end')
  text.value = area.value
}

const EXAMPLE = t('sample')
</script>

<template>
  <div class="grid gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
    <form @submit.prevent="emit('text', text)">
      <label class="block"
        ><span class="font-bold">{{ t('paste_your_questions') }}</span>
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
        {{ t('mark_what_is_right_with_a') }}
      </p>
      <UiButton look="main" type="submit" class="mt-3" :disabled="busy || !text.trim()">{{
        busy ? t('reading') : t('read_it')
      }}</UiButton>
    </form>
    <div>
      <p class="font-bold">{{ t('or_bring_a_file') }}</p>
      <FileDrop :busy="busy" :reading="t('reading_a_file')" @file="emit('file', $event)" />
      <dl class="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[15px]">
        <dt class="font-bold">{{ t('spreadsheet') }}</dt>
        <dd>{{ t('suffixes_of_tables') }}</dd>
        <dt class="font-bold">{{ t('test_package') }}</dt>
        <dd>{{ t('qti_3_0_and_2_1') }}</dd>
        <dt class="font-bold">{{ t('document') }}</dt>
        <dd>{{ t('suffixes_of_documents') }}</dd>
        <dt class="font-bold">{{ t('text') }}</dt>
        <dd>txt, md</dd>
        <dt class="font-bold">{{ t('from_here') }}</dt>
        <dd>{{ t('json_zip_with_media') }}</dd>
      </dl>
      <p class="mt-4 text-[15px]">
        <I18nT :keypath="t.path('do_your_students_write_the_questions')" scope="global"
          ><template #spreadsheet
            ><a class="text-tide underline" href="/api/exchange/template.xlsx">{{
              t('a_spreadsheet_to_fill_in')
            }}</a></template
          ><template #ods><a class="text-tide underline" href="/api/exchange/template.ods">ods</a></template
          ><template #csv
            ><a class="text-tide underline" href="/api/exchange/template.csv">csv</a></template
          ></I18nT
        >
      </p>
    </div>
  </div>
</template>
