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
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ session: number; counting: Counting }>()
const emit = defineEmits<{ close: [] }>()
const { begin } = useJobs()
const FORMATS: { value: TableFormat; label: string }[] = [
  { value: 'xlsx', label: t('workbook_xlsx') },
  { value: 'ods', label: t('opendocument_spreadsheet_ods') },
  { value: 'csv', label: t('a_zip_of_csv_files') },
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
  <UiDialog open :title="t('every_table')" @close="emit('close')">
    <p class="text-slate">
      {{ t('the_class_the_figures_each_question') }}
    </p>
    <fieldset class="mt-3">
      <legend class="font-bold">{{ t('as') }}</legend>
      <label v-for="one in FORMATS" :key="one.value" class="flex min-h-7 items-center gap-2"
        ><input v-model="format" type="radio" name="format" :value="one.value" class="accent-tide" />{{
          one.label
        }}</label
      >
    </fieldset>
    <p v-if="format === 'csv'" class="mt-1 text-[15px] text-slate">
      {{ t('with_a_byte_order_mark') }}
      <a :href="plain" class="font-bold text-tide hover:underline" download>{{ t('without_one') }}</a>
    </p>
    <p class="mt-3 text-[15px]">
      {{ t('for_records_of_learning') }}
      <a :href="at('qti-results.zip')" class="font-bold text-tide hover:underline" download>{{
        t('qti_results_xml')
      }}</a>,
      <a :href="at('statements.jsonl')" class="font-bold text-tide hover:underline" download>{{
        t('xapi_statements')
      }}</a>
      (<a
        :href="at('statements.jsonl?with_names=true')"
        class="font-bold text-tide hover:underline"
        download
        >{{ t('with_names_2') }}</a
      >)
    </p>
    <WhereTo v-model="to" />
    <p v-if="refused" role="alert" class="mt-3 text-wrong">{{ refused }}</p>
    <div class="mt-5 flex gap-3">
      <UiButton look="main" @click="make">{{ t('make_it') }}</UiButton>
      <UiButton @click="emit('close')">{{ common('leave_it') }}</UiButton>
    </div>
  </UiDialog>
</template>
