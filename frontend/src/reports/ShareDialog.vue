<script setup lang="ts">
/** Links by which others read these results, until a day. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import { dateOf } from '@/composables/format'
import CopyButton from '@/ui/CopyButton.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiField from '@/ui/UiField.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ session: number }>()
const emit = defineEmits<{ close: [] }>()
const client = useQueryClient()
const params = { path: { session_id: props.session } }
const key = ['report', props.session, 'shared']
const { data: links } = useQuery({
  queryKey: key,
  queryFn: () => data(api.GET('/api/sessions/{session_id}/shared', { params })),
})
const TWO_WEEKS = 14 * 24 * 3600 * 1000
const until = ref(new Date(Date.now() + TWO_WEEKS).toISOString().slice(0, 10))
const withNames = ref(false)
const made = ref('')
const refused = ref('')

async function make(): Promise<void> {
  refused.value = made.value = ''
  try {
    const body = { until: until.value, with_names: withNames.value }
    made.value = (await data(api.POST('/api/sessions/{session_id}/shared', { params, body }))).link
    await client.invalidateQueries({ queryKey: key })
  } catch (error) {
    refused.value = sentenceOf(error)
  }
}
async function stop(link: number): Promise<void> {
  const path = { session_id: props.session, link_id: link }
  try {
    await api.DELETE('/api/sessions/{session_id}/shared/{link_id}', { params: { path } })
    made.value = ''
    await client.invalidateQueries({ queryKey: key })
  } catch (error) {
    refused.value = sentenceOf(error)
  }
}
</script>

<template>
  <UiDialog open :title="t('a_link_to_read_by')" @close="emit('close')">
    <p class="text-slate">
      {{ t('whoever_has_the_link_reads_these') }}
    </p>
    <UiField v-model="until" class="mt-4" type="date" :label="t('opens_until_the_end_of')" :error="refused" />
    <UiSwitch v-model="withNames" :label="t('with_names')" :hint="t('without_students_are_numbers')" />
    <UiButton look="main" @click="make">{{ t('make_a_link') }}</UiButton>
    <p v-if="made" class="mt-4 rounded border border-lamp-ink bg-lamp-wash px-3 py-2" role="status">
      <span class="block wrap-anywhere">{{ made }}</span>
      <CopyButton :text="made" /> {{ t('it_is_shown_this_once') }}
    </p>
    <template v-if="links?.length">
      <h3 class="mt-5 text-lg">{{ t('links_that_open') }}</h3>
      <ul class="text-[15px]">
        <li v-for="link in links" :key="link.id" class="flex gap-x-4 border-b border-rule py-1.5">
          <span class="grow">{{
            t('until', {
              date: dateOf(link.until),
              names: link.with_names ? t('with_names_2') : t('without_names'),
            })
          }}</span>
          <button type="button" class="font-bold text-wrong hover:underline" @click="stop(link.id)">
            {{ t('stop_it') }} <span class="sr-only">{{ t('until_2', { date: dateOf(link.until) }) }}</span>
          </button>
        </li>
      </ul>
    </template>
    <div class="mt-5">
      <UiButton @click="emit('close')">{{ common('close') }}</UiButton>
    </div>
  </UiDialog>
</template>
