<script setup lang="ts">
/** From what to teach again to a new set, in one step: for all, or another for each group. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { I18nT } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { QuestionReport } from '@/api/types'
import { percent } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import LineText from '@/questions/shared/LineText.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiField from '@/ui/UiField.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{
  session: number
  title: string
  /** Hardest first. */
  questions: readonly QuestionReport[]
  groups: readonly string[]
}>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const client = useQueryClient()
const { show } = useToasts()
const TO_BEGIN_WITH = 3

const title = ref(t('again', { title: props.title || common('untitled_set') }).slice(0, 200))
const chosen = ref(new Set(props.questions.slice(0, TO_BEGIN_WITH).map((question) => question.item)))
const eachGroup = ref(false)
const refused = ref('')
/** The set as whose questions they are asked; null: as they were. */
const asIn = ref<number | null>(null)
const { data: forms } = useQuery({
  queryKey: ['session', props.session, 'other-forms'],
  queryFn: () =>
    data(api.GET('/api/sessions/{session_id}/again', { params: { path: { session_id: props.session } } })),
})
const inOtherForm = (items: readonly string[]): number =>
  items.filter((item) => chosen.value.has(item)).length
const head = computed(() =>
  eachGroup.value
    ? t('sets_each_of_the_that_were', {
        n: props.groups.length,
        questions: common('n_questions', { n: chosen.value.size }),
      })
    : t('a_set_of_questions', { n: chosen.value.size }),
)

function toggle(item: string): void {
  const next = new Set(chosen.value)
  if (!next.delete(item)) next.add(item)
  chosen.value = next
}

async function make(): Promise<void> {
  const items = props.questions.map((one) => one.item).filter((item) => chosen.value.has(item))
  try {
    const params = { path: { session_id: props.session } }
    const body = { title: title.value, items, each_group: eachGroup.value, as_in: asIn.value }
    const made = await data(api.POST('/api/sessions/{session_id}/again', { params, body }))
    await client.invalidateQueries({ queryKey: ['sets'] })
    show(made.length === 1 ? t('the_set_is_made') : t('sets_are_made_one_for_each', { n: made.length }))
    await router.push(made.length === 1 ? `/sets/${made[0]!.id}` : '/sets')
  } catch (error) {
    refused.value = sentenceOf(error)
  }
}
</script>

<template>
  <UiDialog open wide :title="t('ask_it_again')" @close="emit('close')">
    <UiField v-model="title" :label="t('title_of_the_new_set')" :error="refused" />
    <p v-if="groups.length" class="mt-3 flex flex-wrap gap-x-5">
      <label class="flex items-center gap-2"
        ><input v-model="eachGroup" type="radio" name="again-for" :value="false" class="accent-tide" />{{
          t('one_for_all')
        }}</label
      >
      <label class="flex items-center gap-2"
        ><input v-model="eachGroup" type="radio" name="again-for" :value="true" class="accent-tide" />{{
          t('another_for_each_group')
        }}</label
      >
    </p>
    <fieldset v-if="forms?.length" class="mt-3">
      <legend class="text-[15px] text-slate">{{ t('the_questions') }}</legend>
      <label class="flex min-h-7 items-center gap-2"
        ><input v-model="asIn" type="radio" name="again-as" :value="null" class="accent-tide" />{{
          t('as_they_were_asked')
        }}</label
      >
      <label v-for="form in forms" :key="form.set" class="flex min-h-7 items-baseline gap-2"
        ><input
          v-model="asIn"
          type="radio"
          name="again-as"
          :value="form.set"
          class="shrink-0 accent-tide"
        /><span class="min-w-0 wrap-anywhere"
          ><I18nT :keypath="t.path('as_they_stand_in')" scope="global"
            ><template #title
              ><b>{{ form.title || common('untitled_set') }}</b></template
            ></I18nT
          >
          <span v-if="!eachGroup" class="text-slate">{{
            t('of_these_in_another_form', { in_other_form: inOtherForm(form.items) || t('none') })
          }}</span></span
        ></label
      >
    </fieldset>
    <ul
      class="mt-3 max-h-64 overflow-y-auto border-y border-rule"
      tabindex="0"
      :aria-label="t('questions_hardest_first')"
    >
      <li v-for="question in questions" :key="question.item" class="border-b border-rule last:border-0">
        <label class="flex items-start gap-2.5 py-1.5"
          ><input
            type="checkbox"
            class="mt-1 size-4 shrink-0 accent-tide"
            :checked="chosen.has(question.item)"
            @change="toggle(question.item)"
          />
          <LineText class="min-w-0 grow wrap-anywhere" :text="question.title || common('asked_aloud')" />
          <span v-if="question.share !== null" class="whitespace-nowrap tabular-nums">{{
            percent(question.share)
          }}</span></label
        >
      </li>
    </ul>
    <p class="mt-3 text-[15px] text-slate" role="status">{{ head }}.</p>
    <div class="mt-4 flex gap-3">
      <UiButton look="main" :disabled="!chosen.size" @click="make">{{ t('make_it') }}</UiButton>
      <UiButton @click="emit('close')">{{ common('leave_it') }}</UiButton>
    </div>
  </UiDialog>
</template>
