<script setup lang="ts">
/** Each student's page by mail: who gets what is seen before anything goes, and anybody can be held back. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { Recipient } from '@/api/types'
import { useJobs } from '@/aside'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { field } from '@/ui/recipes'
import { paper } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ session: number }>()
const emit = defineEmits<{ close: [] }>()
const { begin } = useJobs()
const params = { path: { session_id: props.session } }
const { data: recipients, error } = useQuery({
  queryKey: ['report', props.session, 'mailing'],
  queryFn: () => data(api.GET('/api/sessions/{session_id}/mailing', { params })),
})
const withPlace = ref(false)
const words = ref('')
const refused = ref('')
const chosen = ref(new Set<number>())
const reachable = computed(() => recipients.value?.filter((one) => one.address) ?? [])
const without = computed(() => recipients.value?.filter((one) => !one.address) ?? [])
watch(
  reachable,
  (found) => {
    chosen.value = new Set(found.filter((one) => one.confirmed !== false).map((one) => one.seat))
  },
  { immediate: true },
)

function toggle(seat: number): void {
  const next = new Set(chosen.value)
  if (!next.delete(seat)) next.add(seat)
  chosen.value = next
}
function gets(one: Recipient): string {
  if (!one.questions && !one.shows_score) return t('greeting')
  const parts = [
    one.questions && common('n_questions', { n: one.questions }),
    one.shows_score && t('the_score'),
  ]
  return parts.filter(Boolean).join(', ')
}
const page = (seat: number): string =>
  `/api/sessions/${props.session}/students/${seat}/page.pdf?paper=${paper.value}&with_place=${withPlace.value}`

async function send(): Promise<void> {
  const seats = reachable.value.map((one) => one.seat).filter((seat) => chosen.value.has(seat))
  const body = { seats, paper: paper.value, with_place: withPlace.value, words: words.value }
  refused.value = await begin(() => data(api.POST('/api/sessions/{session_id}/mailing', { params, body })))
  if (!refused.value) emit('close')
}
</script>

<template>
  <UiDialog open wide :title="t('mail_to_each_student')" @close="emit('close')">
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="!recipients" class="text-slate">{{ t('looking_who_has_an_address') }}</p>
    <p v-else-if="!reachable.length">
      {{ t('nobody_in_this_session') }}
    </p>
    <template v-else>
      <p class="text-slate">{{ t('each_gets_their_own_page') }}</p>
      <ul
        class="relative mt-3 max-h-64 overflow-y-auto border-y border-rule"
        tabindex="0"
        :aria-label="t('who_gets_a_page')"
      >
        <li v-for="one in reachable" :key="one.seat" class="border-b border-rule py-1.5 last:border-0">
          <div class="flex items-start gap-2.5">
            <label class="flex min-w-0 grow items-start gap-2.5"
              ><input
                type="checkbox"
                class="mt-1 size-4 accent-tide"
                :checked="chosen.has(one.seat)"
                @change="toggle(one.seat)"
              />
              <span class="min-w-0 wrap-anywhere"
                >{{ one.name }}
                <span class="text-[15px] text-slate">{{ one.address }} · {{ gets(one) }}</span>
                <span v-if="one.confirmed === false" class="text-[15px] text-wrong">
                  {{ t('has_not_confirmed_this_address') }}</span
                ></span
              ></label
            >
            <a
              :href="page(one.seat)"
              class="text-[15px] font-bold whitespace-nowrap text-tide hover:underline"
              download
              >{{ t('their_page') }}<span class="sr-only">: {{ one.name }}</span></a
            >
          </div>
        </li>
      </ul>
      <p v-if="without.length" class="mt-2 text-[15px] text-slate">
        {{ t('without_an_address', { names: without.map((one) => one.name).join(', ') }) }}
      </p>
      <label class="mt-4 block font-bold"
        >{{ t('a_few_words_of_yours') }}
        <textarea v-model="words" rows="2" maxlength="2000" :class="field" class="mt-1 font-normal" />
      </label>
      <UiSwitch v-model="withPlace" :label="t('with_their_place_in_the_class')" />
      <p class="text-[15px] text-slate">
        {{ t('answers_go_to_your_own_address') }}
      </p>
    </template>
    <p v-if="refused" role="alert" class="mt-3 text-wrong">{{ refused }}</p>
    <div class="mt-4 flex gap-3">
      <UiButton v-if="reachable.length" look="main" :disabled="!chosen.size" @click="send">{{
        t('send_mails', { n: chosen.size })
      }}</UiButton>
      <UiButton @click="emit('close')">{{ common('leave_it') }}</UiButton>
    </div>
  </UiDialog>
</template>
