<script setup lang="ts">
/** Whom a correction would change, and by how much, before it is made. */
import { computed } from 'vue'
import { counted, percent, score } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { useCorrections } from './useCorrections'
import { namesShown } from './useReportView'

const { busy, proposal, command } = useCorrections()
const preview = computed(() => proposal.value?.preview)

const head = computed(() => {
  const { changes, unchanged } = preview.value!
  const others = unchanged ? ` ${counted(unchanged, 'student')} stay as they are.` : ''
  return changes.length
    ? `It changes the score of ${counted(changes.length, 'student')}.${others}`
    : 'It changes nobody’s score.'
})
const shares = computed(() => {
  const { question_before, question_after, class_before, class_after } = preview.value!
  const lines = [
    { what: 'This question', before: question_before, after: question_after },
    { what: 'The class', before: class_before, after: class_after },
  ]
  const told = (share: number | null): string => (share === null ? 'in no score' : `${percent(share)} right`)
  return lines
    .filter((line) => line.before !== line.after)
    .map((line) => `${line.what}: ${told(line.before)} before, ${told(line.after)} after.`)
})

async function make(): Promise<void> {
  const agreed = proposal.value!.command
  proposal.value = null
  await command(agreed)
}
</script>

<template>
  <UiDialog :open="!!preview" title="Whom it changes" @close="proposal = null">
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
              <th scope="col">Name</th>
              <th scope="col">Score before</th>
              <th scope="col">Score after</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in preview.changes" :key="one.seat" class="border-b border-rule last:border-0">
              <th scope="row" class="py-1 pr-3 text-left font-normal wrap-anywhere">
                {{ namesShown ? one.name : `Seat ${one.seat}` }}
              </th>
              <td class="py-1 text-right tabular-nums">{{ score(one.before) }}</td>
              <td class="w-28 py-1 text-right tabular-nums">
                <span aria-hidden="true">→ </span><b>{{ score(one.after) }}</b> of {{ one.out_of }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="mt-5 flex gap-3">
        <UiButton look="main" :disabled="busy" @click="make">Put it right</UiButton>
        <UiButton @click="proposal = null">Leave it</UiButton>
      </div>
      <p class="mt-3 text-[15px] text-slate">It can be taken back, and every report says that it was done.</p>
    </template>
  </UiDialog>
</template>
