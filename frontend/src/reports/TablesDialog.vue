<script setup lang="ts">
/** The workbook's tables in the formats of other programs. */
import { ref } from 'vue'
import { api, data } from '@/api/http'
import type { TableFormat, Way } from '@/api/types'
import { useJobs } from '@/aside'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import WhereTo from './WhereTo.vue'
import type { Counting } from './useReportView'

const props = defineProps<{ session: number; counting: Counting }>()
const emit = defineEmits<{ close: [] }>()
const { begin } = useJobs()
const FORMATS: { value: TableFormat; label: string }[] = [
  { value: 'xlsx', label: 'Workbook (xlsx)' },
  { value: 'ods', label: 'OpenDocument spreadsheet (ods)' },
  { value: 'csv', label: 'A zip of CSV files' },
  { value: 'json', label: 'JSON' },
]
const format = ref<TableFormat>('xlsx')
const to = ref<Way>('download')
const refused = ref('')
const at = (file: string): string => `/api/sessions/${props.session}/${file}`
const plain = at(`tables.zip?counting=${props.counting}&marked=false`)

async function make(): Promise<void> {
  const params = { path: { session_id: props.session } }
  const body = { format: format.value, to: to.value, counting: props.counting }
  refused.value = await begin(() => data(api.POST('/api/sessions/{session_id}/files', { params, body })))
  if (!refused.value) emit('close')
}
</script>

<template>
  <UiDialog open title="Every table" @close="emit('close')">
    <p class="text-slate">
      The class, the figures, each question, every answer as it was given, and what was put right.
    </p>
    <fieldset class="mt-3">
      <legend class="font-bold">As</legend>
      <label v-for="one in FORMATS" :key="one.value" class="flex min-h-7 items-center gap-2"
        ><input v-model="format" type="radio" name="format" :value="one.value" class="accent-tide" />{{
          one.label
        }}</label
      >
    </fieldset>
    <p v-if="format === 'csv'" class="mt-1 text-[15px] text-slate">
      With a byte order mark, by which spreadsheets know every script.
      <a :href="plain" class="font-bold text-tide hover:underline" download>Without one</a>
    </p>
    <p class="mt-3 text-[15px]">
      For records of learning:
      <a :href="at('qti-results.zip')" class="font-bold text-tide hover:underline" download
        >QTI results (XML)</a
      >,
      <a :href="at('statements.jsonl')" class="font-bold text-tide hover:underline" download
        >xAPI statements</a
      >
      (<a :href="at('statements.jsonl?with_names=true')" class="font-bold text-tide hover:underline" download
        >with names</a
      >)
    </p>
    <WhereTo v-model="to" />
    <p v-if="refused" role="alert" class="mt-3 text-wrong">{{ refused }}</p>
    <div class="mt-5 flex gap-3">
      <UiButton look="main" @click="make">Make it</UiButton>
      <UiButton @click="emit('close')">Leave it</UiButton>
    </div>
  </UiDialog>
</template>
