<script setup lang="ts">
/** Pages on paper: for each student, with what that student may see, or for each question. */
import { ref } from 'vue'
import { api, data } from '@/api/http'
import type { Way } from '@/api/types'
import { useJobs } from '@/aside'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import WhereTo from './WhereTo.vue'
import { paper, type Counting } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ session: number; of: 'students' | 'questions'; counting: Counting }>()
const emit = defineEmits<{ close: [] }>()
const { begin } = useJobs()
const asZip = ref(false)
const withPlace = ref(false)
const withNames = ref(true)
const to = ref<Way>('download')
const refused = ref('')

async function make(): Promise<void> {
  const body = {
    of: props.of,
    paper: paper.value,
    as_zip: asZip.value,
    with_place: withPlace.value,
    with_names: withNames.value,
    to: to.value,
    counting: props.counting,
  }
  const params = { path: { session_id: props.session } }
  refused.value = await begin(() => data(api.POST('/api/sessions/{session_id}/pages', { params, body })))
  if (!refused.value) emit('close')
}
</script>

<template>
  <UiDialog
    open
    :title="of === 'students' ? t('a_page_for_each_student') : t('a_page_for_each_question')"
    @close="emit('close')"
  >
    <p class="text-slate">
      {{ of === 'students' ? t('each_with_what_that_student_may') : t('its_result_how_hard') }}
    </p>
    <p class="mt-4 flex flex-wrap gap-x-8 gap-y-3">
      <label class="font-bold"
        >{{ t('paper') }}
        <select v-model="paper" class="ms-2 rounded border border-edge bg-sheet px-2 py-1 font-normal">
          <option value="a4">A4</option>
          <option value="us-letter">{{ t('letter') }}</option>
        </select>
      </label>
      <label class="font-bold"
        >{{ t('as') }}
        <select v-model="asZip" class="ms-2 rounded border border-edge bg-sheet px-2 py-1 font-normal">
          <option :value="false">{{ t('one_file_to_print') }}</option>
          <option :value="true">{{ t('a_zip_with_a_file') }}</option>
        </select>
      </label>
    </p>
    <UiSwitch
      v-if="of === 'students'"
      v-model="withPlace"
      :label="t('with_their_place_in_the_class')"
      :hint="t('only_where_this_session_tells')"
    />
    <UiSwitch v-else v-model="withNames" :label="t('with_names')" :hint="t('without_it_can_be_shown')" />
    <WhereTo v-model="to" />
    <p v-if="refused" role="alert" class="mt-3 text-wrong">{{ refused }}</p>
    <div class="mt-5 flex gap-3">
      <UiButton look="main" @click="make">{{ t('make_the_pages') }}</UiButton>
      <UiButton @click="emit('close')">{{ common('leave_it') }}</UiButton>
    </div>
  </UiDialog>
</template>
