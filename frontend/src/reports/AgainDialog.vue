<script setup lang="ts">
/** From what to teach again to a new set, in one step: for all, or another for each group. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { QuestionReport } from '@/api/types'
import { counted, percent } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import LineText from '@/questions/shared/LineText.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiField from '@/ui/UiField.vue'

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

const title = ref(`${props.title || 'Untitled set'}, again`.slice(0, 200))
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
    ? `${counted(props.groups.length, 'set')}, each of the ${counted(chosen.value.size, 'question')} that ${chosen.value.size === 1 ? 'was' : 'were'} hardest for the group`
    : `A set of ${counted(chosen.value.size, 'question')}`,
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
    show(made.length === 1 ? 'The set is made.' : `${made.length} sets are made, one for each group.`)
    await router.push(made.length === 1 ? `/sets/${made[0]!.id}` : '/sets')
  } catch (error) {
    refused.value = sentenceOf(error)
  }
}
</script>

<template>
  <UiDialog open wide title="Ask it again" @close="emit('close')">
    <UiField v-model="title" label="Title of the new set" :error="refused" />
    <p v-if="groups.length" class="mt-3 flex flex-wrap gap-x-5">
      <label class="flex items-center gap-2"
        ><input v-model="eachGroup" type="radio" name="again-for" :value="false" class="accent-tide" />One for
        all</label
      >
      <label class="flex items-center gap-2"
        ><input v-model="eachGroup" type="radio" name="again-for" :value="true" class="accent-tide" />Another
        for each group</label
      >
    </p>
    <fieldset v-if="forms?.length" class="mt-3">
      <legend class="text-[15px] text-slate">The questions</legend>
      <label class="flex min-h-7 items-center gap-2"
        ><input v-model="asIn" type="radio" name="again-as" :value="null" class="accent-tide" />as they were
        asked</label
      >
      <label v-for="form in forms" :key="form.set" class="flex min-h-7 items-baseline gap-2"
        ><input
          v-model="asIn"
          type="radio"
          name="again-as"
          :value="form.set"
          class="shrink-0 accent-tide"
        /><span class="min-w-0 wrap-anywhere"
          >as they stand in <b>{{ form.title || 'Untitled set' }}</b>
          <span v-if="!eachGroup" class="text-slate">
            ({{ inOtherForm(form.items) || 'none' }} of these in another form)</span
          ></span
        ></label
      >
    </fieldset>
    <ul
      class="mt-3 max-h-64 overflow-y-auto border-y border-rule"
      tabindex="0"
      aria-label="Questions, hardest first"
    >
      <li v-for="question in questions" :key="question.item" class="border-b border-rule last:border-0">
        <label class="flex items-start gap-2.5 py-1.5"
          ><input
            type="checkbox"
            class="mt-1 size-4 shrink-0 accent-tide"
            :checked="chosen.has(question.item)"
            @change="toggle(question.item)"
          />
          <LineText class="min-w-0 grow wrap-anywhere" :text="question.title" />
          <span v-if="question.share !== null" class="whitespace-nowrap tabular-nums">{{
            percent(question.share)
          }}</span></label
        >
      </li>
    </ul>
    <p class="mt-3 text-[15px] text-slate" role="status">{{ head }}.</p>
    <div class="mt-4 flex gap-3">
      <UiButton look="main" :disabled="!chosen.size" @click="make">Make it</UiButton>
      <UiButton @click="emit('close')">Leave it</UiButton>
    </div>
  </UiDialog>
</template>
