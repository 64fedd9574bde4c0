<script setup lang="ts">
/** What a member took part in; all that is kept of them, to take along or to erase. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { Member, TookPart } from '@/api/types'
import { dayAndTime, score } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { button } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ ofClass: number; member: Member }>()
const emit = defineEmits<{ close: [] }>()
const client = useQueryClient()
const { show } = useToasts()
const path = { class_id: props.ofClass, member_id: props.member.id }
const erasing = ref(false)
const busy = ref(false)
const refused = ref('')
const { data: history, error } = useQuery({
  queryKey: ['student', props.member.id],
  queryFn: () => data(api.GET('/api/students/{class_id}/{member_id}', { params: { path } })),
})
const certain = computed(() => history.value?.sessions.filter((one) => one.is_certain) ?? [])
const unsure = computed(() => history.value?.sessions.filter((one) => !one.is_certain) ?? [])

async function confirm(part: TookPart, isTheSame: boolean): Promise<void> {
  const params = { path: { ...path, person_id: part.person } }
  await data(
    api.POST('/api/students/{class_id}/{member_id}/confirm/{person_id}', {
      params,
      body: { is_the_same: isTheSame },
    }),
  ).catch((failure) => (refused.value = sentenceOf(failure)))
  await client.invalidateQueries({ queryKey: ['student', props.member.id] })
}

async function erase(): Promise<void> {
  busy.value = true
  try {
    const gone = await data(api.POST('/api/students/{class_id}/{member_id}/erase', { params: { path } }))
    await client.invalidateQueries()
    show(
      t('erased_everywhere_answers_in_stay', {
        n: gone.answers,
        sessions: common('n_sessions', { n: gone.sessions }),
      }),
    )
    emit('close')
  } catch (failure) {
    refused.value = sentenceOf(failure)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <UiDialog open wide :title="member.name" @close="emit('close')">
    <p v-if="error || refused" role="alert" class="text-wrong">{{ refused || sentenceOf(error) }}</p>
    <div v-if="erasing">
      <p>
        {{ t('name_record_id_needs_notes', { name: member.name }) }}
      </p>
      <div class="mt-5 flex gap-3">
        <UiButton look="danger" :disabled="busy" @click="erase">{{
          busy ? t('erasing') : t('erase_everywhere')
        }}</UiButton>
        <UiButton @click="erasing = false">{{ common('keep_it') }}</UiButton>
      </div>
    </div>
    <template v-else-if="history">
      <section v-if="unsure.length" class="mb-4 rounded border border-lamp-ink px-4 py-3">
        <h3 class="text-lg">{{ t('is_this_the_same_person') }}</h3>
        <ul class="divide-y divide-rule">
          <li v-for="part in unsure" :key="part.person" class="flex flex-wrap items-center gap-3 py-2">
            <span class="grow basis-60 wrap-anywhere"
              >{{ t('gave', { name: part.name }) }} <b>{{ part.record_id }}</b>
              <span class="block text-[15px] text-slate">{{
                t('the_list_has', {
                  title: part.title || common('untitled_set'),
                  when: dayAndTime(part.at),
                  record_id: member.record_id,
                })
              }}</span></span
            >
            <UiButton size="small" @click="confirm(part, true)">{{ t('it_is') }}</UiButton>
            <UiButton size="small" @click="confirm(part, false)">{{ t('somebody_else_2') }}</UiButton>
          </li>
        </ul>
      </section>
      <p v-if="!certain.length" class="text-slate">{{ t('took_part_in_nothing_yet') }}</p>
      <ul v-else class="max-h-80 divide-y divide-rule overflow-y-auto">
        <li v-for="part in certain" :key="part.person" class="flex items-baseline gap-4 py-2">
          <RouterLink
            :to="`/sessions/${part.session}`"
            class="grow font-bold wrap-anywhere hover:underline"
            >{{ part.title || common('untitled_set') }}</RouterLink
          >
          <span class="text-[15px] whitespace-nowrap text-slate">{{ dayAndTime(part.at) }}</span>
          <span class="w-20 text-end tabular-nums">{{
            t('of', { score: score(part.score), out_of: part.out_of })
          }}</span>
        </li>
      </ul>
      <p v-if="history.elsewhere" class="mt-2 text-[15px] text-slate">
        {{ t('sessions_of_colleagues_besides', { n: history.elsewhere }) }}
      </p>
      <div class="mt-5 flex flex-wrap gap-3">
        <a :href="`/api/students/${ofClass}/${member.id}/export.zip`" :class="button('plain')" download>{{
          t('take_everything_along_zip')
        }}</a>
        <UiButton @click="erasing = true">{{ t('erase_everywhere_2') }}</UiButton>
        <UiButton look="quiet" @click="emit('close')">{{ common('close') }}</UiButton>
      </div>
    </template>
    <p v-else class="text-slate">{{ t('looking_it_up') }}</p>
  </UiDialog>
</template>
