<script setup lang="ts">
/** What a member took part in; all that is kept of them, to take along or to erase. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { Member, TookPart } from '@/api/types'
import { counted, dayAndTime, score } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { button } from '@/ui/recipes'

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
      `Erased everywhere. ${counted(gone.answers, 'answer')} in ${counted(gone.sessions, 'session')} stay as nobody’s.`,
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
        Name, record ID, needs, notes and phrase of {{ member.name }} are erased for good: from this class,
        from those of other years, and from every session of the school, whoever ran it. The answers stay as
        nobody’s, so the figures of the classes do not change.
      </p>
      <div class="mt-5 flex gap-3">
        <UiButton look="danger" :disabled="busy" @click="erase">{{
          busy ? 'Erasing…' : 'Erase everywhere'
        }}</UiButton>
        <UiButton @click="erasing = false">Keep it</UiButton>
      </div>
    </div>
    <template v-else-if="history">
      <section v-if="unsure.length" class="mb-4 rounded border border-lamp-ink px-4 py-3">
        <h3 class="text-lg">Is this the same person?</h3>
        <ul class="divide-y divide-rule">
          <li v-for="part in unsure" :key="part.person" class="flex flex-wrap items-center gap-3 py-2">
            <span class="grow basis-60 wrap-anywhere"
              >“{{ part.name }}” gave <b>{{ part.record_id }}</b>
              <span class="block text-[15px] text-slate"
                >{{ part.title || 'Untitled set' }}, {{ dayAndTime(part.at) }}; the list has
                {{ member.record_id }}</span
              ></span
            >
            <UiButton size="small" @click="confirm(part, true)">It is</UiButton>
            <UiButton size="small" @click="confirm(part, false)">Somebody else</UiButton>
          </li>
        </ul>
      </section>
      <p v-if="!certain.length" class="text-slate">Took part in nothing yet.</p>
      <ul v-else class="max-h-80 divide-y divide-rule overflow-y-auto">
        <li v-for="part in certain" :key="part.person" class="flex items-baseline gap-4 py-2">
          <RouterLink
            :to="`/sessions/${part.session}`"
            class="grow font-bold wrap-anywhere hover:underline"
            >{{ part.title || 'Untitled set' }}</RouterLink
          >
          <span class="text-[15px] whitespace-nowrap text-slate">{{ dayAndTime(part.at) }}</span>
          <span class="w-20 text-right tabular-nums">{{ score(part.score) }} of {{ part.out_of }}</span>
        </li>
      </ul>
      <p v-if="history.elsewhere" class="mt-2 text-[15px] text-slate">
        {{ counted(history.elsewhere, 'session') }} of colleagues besides.
      </p>
      <div class="mt-5 flex flex-wrap gap-3">
        <a :href="`/api/students/${ofClass}/${member.id}/export.zip`" :class="button('plain')" download
          >Take everything along (zip)</a
        >
        <UiButton @click="erasing = true">Erase everywhere…</UiButton>
        <UiButton look="quiet" @click="emit('close')">Close</UiButton>
      </div>
    </template>
    <p v-else class="text-slate">Looking it up…</p>
  </UiDialog>
</template>
