<script setup lang="ts">
/** What was asked on the spot is offered to the library. */
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { AskedNow, DeskView, SessionInfo } from '@/api/types'
import { field } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'

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
      title.value ||= info.value.set ? t('asked_on_the_spot', { title: info.value.title }) : info.value.title
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
  <section v-if="found?.questions" :aria-label="t('asked_on_the_spot_2')">
    <p v-if="found.kept === found.questions">
      {{ t('questions_that_you_asked', { n: found.kept }) }}
      <RouterLink :to="`/sets/${found.set}`" class="font-bold text-tide underline">{{
        t('open_the_set')
      }}</RouterLink>.
    </p>
    <form v-else class="max-w-md" @submit.prevent="keep(false)">
      <p>
        {{ t('you_asked_questions_on_the_spot', { n: found.questions - found.kept }) }}
      </p>
      <label class="mt-2 block"
        ><span class="mb-1 block font-bold">{{ t('as_a_set_called') }}</span>
        <input v-model="title" maxlength="200" :class="field" />
      </label>
      <div class="mt-2 flex flex-wrap gap-3">
        <UiButton type="submit">{{ t('keep_as_a_set') }}</UiButton>
        <UiButton v-if="info?.set" @click="keep(true)">{{ t('add_to_the_set') }}</UiButton>
      </div>
    </form>
    <p v-if="failure" role="alert" class="mt-2 text-wrong">{{ failure }}</p>
  </section>
</template>
