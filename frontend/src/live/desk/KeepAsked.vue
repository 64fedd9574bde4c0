<script setup lang="ts">
/** What was asked on the spot is offered to the library. */
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { AskedNow, DeskView, SessionInfo } from '@/api/types'
import { counted } from '@/composables/format'
import { field } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'

const props = defineProps<{ view: DeskView; session: number }>()
const params = { path: { session_id: props.session } }
const found = ref<AskedNow | null>(null)
const info = ref<SessionInfo | null>(null)
const title = ref('')
const failure = ref('')
const asked = computed(() => props.view.run.filter((row) => row.asked_now).length)

watch(
  asked,
  async (count) => {
    if (!count) return
    try {
      found.value = await data(api.GET('/api/live/sessions/{session_id}/asked-now', { params }))
      info.value = await data(api.GET('/api/live/sessions/{session_id}', { params }))
      title.value ||= info.value.set ? `${info.value.title}: asked on the spot` : info.value.title
    } catch (error) {
      failure.value = sentenceOf(error)
    }
  },
  { immediate: true },
)

async function keep(add: boolean): Promise<void> {
  failure.value = ''
  try {
    const body = { title: title.value, add }
    found.value = await data(api.POST('/api/live/sessions/{session_id}/asked-now', { params, body }))
  } catch (error) {
    failure.value = sentenceOf(error)
  }
}
</script>

<template>
  <section v-if="found?.questions" aria-label="Asked on the spot">
    <p v-if="found.kept === found.questions">
      {{ counted(found.kept, 'question') }} that you asked on the spot
      {{ found.kept === 1 ? 'is' : 'are' }} in your library:
      <RouterLink :to="`/sets/${found.set}`" class="font-bold text-tide underline">open the set</RouterLink>.
    </p>
    <form v-else class="max-w-md" @submit.prevent="keep(false)">
      <p>
        You asked {{ counted(found.questions - found.kept, 'question') }} on the spot. Keep
        {{ found.questions - found.kept === 1 ? 'it' : 'them' }} for another time?
      </p>
      <label class="mt-2 block"
        ><span class="mb-1 block font-bold">As a set called</span>
        <input v-model="title" maxlength="200" :class="field" />
      </label>
      <div class="mt-2 flex flex-wrap gap-3">
        <UiButton type="submit">Keep as a set</UiButton>
        <UiButton v-if="info?.set" @click="keep(true)">Add to the set that was run</UiButton>
      </div>
    </form>
    <p v-if="failure" role="alert" class="mt-2 text-wrong">{{ failure }}</p>
  </section>
</template>
