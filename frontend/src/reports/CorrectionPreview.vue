<script setup lang="ts">
/** Whom a correction would change, and by how much, before it is made. */
import { computed } from 'vue'
import { percent, score } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { useCorrections } from './useCorrections'
import { namesShown } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'

const { busy, proposal, command } = useCorrections()
const preview = computed(() => proposal.value?.preview)

const head = computed(() => {
  const { changes, unchanged } = preview.value!
  const others = unchanged ? t('students_stay_as_they_are', { n: unchanged }) : ''
  return changes.length
    ? [t('it_changes_the_score_of_students', { n: changes.length }), others].filter(Boolean).join(' ')
    : t('it_changes_nobodys_score')
})
const shares = computed(() => {
  const { question_before, question_after, class_before, class_after } = preview.value!
  const lines = [
    { what: t('this_question'), before: question_before, after: question_after },
    { what: t('the_class'), before: class_before, after: class_after },
  ]
  const told = (share: number | null): string =>
    share === null ? t('in_no_score') : t('right_2', { share: percent(share) })
  return lines
    .filter((line) => line.before !== line.after)
    .map((line) => t('before_after', { what: line.what, before: told(line.before), after: told(line.after) }))
})

async function make(): Promise<void> {
  const agreed = proposal.value!.command
  proposal.value = null
  await command(agreed)
}
</script>

<template>
  <UiDialog :open="!!preview" :title="t('whom_it_changes')" @close="proposal = null">
    <template v-if="preview">
      <p>{{ head }}</p>
      <p v-for="line in shares" :key="line" class="mt-1 text-slate">{{ line }}</p>
      <div
        v-if="preview.changes.length"
        class="mt-3 max-h-64 overflow-y-auto border-y border-rule"
        tabindex="0"
      >
        <table class="w-full text-[15px]">
          <thead class="sr-only">
            <tr>
              <th scope="col">{{ common('name') }}</th>
              <th scope="col">{{ t('score_before') }}</th>
              <th scope="col">{{ t('score_after') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in preview.changes" :key="one.seat" class="border-b border-rule last:border-0">
              <th scope="row" class="py-1 pe-3 text-start font-normal wrap-anywhere">
                {{ namesShown ? one.name : t('seat', { seat: one.seat }) }}
              </th>
              <td class="py-1 text-end tabular-nums">{{ score(one.before) }}</td>
              <td class="w-28 py-1 text-end tabular-nums">
                <span aria-hidden="true" class="inline-block rtl:-scale-x-100">→</span>
                <b>{{ score(one.after) }}</b>
                {{ t('of', { out_of: one.out_of }) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="mt-5 flex gap-3">
        <UiButton look="main" :disabled="busy" @click="make">{{ t('put_it_right') }}</UiButton>
        <UiButton @click="proposal = null">{{ common('leave_it') }}</UiButton>
      </div>
      <p class="mt-3 text-[15px] text-slate">{{ t('it_can_be_taken_back') }}</p>
    </template>
  </UiDialog>
</template>
