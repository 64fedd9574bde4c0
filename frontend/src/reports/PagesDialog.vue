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
    :title="of === 'students' ? 'A page for each student' : 'A page for each question'"
    @close="emit('close')"
  >
    <p class="text-slate">
      {{
        of === 'students'
          ? 'Each with what that student may see, in that student’s language: marks, answers and what is right as this session tells them, and your comments.'
          : 'Its result, how hard it was, which answers were given by whom, and what was put right.'
      }}
    </p>
    <p class="mt-4 flex flex-wrap gap-x-8 gap-y-3">
      <label class="font-bold"
        >Paper
        <select v-model="paper" class="ms-2 rounded border border-edge bg-sheet px-2 py-1 font-normal">
          <option value="a4">A4</option>
          <option value="us-letter">Letter</option>
        </select>
      </label>
      <label class="font-bold"
        >As
        <select v-model="asZip" class="ms-2 rounded border border-edge bg-sheet px-2 py-1 font-normal">
          <option :value="false">one file to print</option>
          <option :value="true">a zip with a file for each</option>
        </select>
      </label>
    </p>
    <UiSwitch
      v-if="of === 'students'"
      v-model="withPlace"
      label="With their place in the class"
      hint="Only where this session tells its score at all."
    />
    <UiSwitch
      v-else
      v-model="withNames"
      label="With names"
      hint="Without, it can be shown to the class: who answered what is left out."
    />
    <WhereTo v-model="to" />
    <p v-if="refused" role="alert" class="mt-3 text-wrong">{{ refused }}</p>
    <div class="mt-5 flex gap-3">
      <UiButton look="main" @click="make">Make the pages</UiButton>
      <UiButton @click="emit('close')">Leave it</UiButton>
    </div>
  </UiDialog>
</template>
