<script setup lang="ts">
/** Everyone by every question. Names and answers can be hidden at once. Of a crowd, only what is in sight is drawn. */
import { computed, nextTick, ref, watch } from 'vue'
import type { DeskView, Person } from '@/api/types'
import { orderOf } from '@/composables/ordering'
import { useLinesInSight } from '@/composables/useLinesInSight'
import EraseDialog from '@/ui/EraseDialog.vue'
import GridPane from '@/ui/GridPane.vue'
import { answersShown } from './hiding'
import HidingSwitches from './HidingSwitches.vue'
import PersonName from './PersonName.vue'
import TakenOut from './TakenOut.vue'
import type { Desk } from './useDesk'
import type { WrittenTo } from './WriteDialog.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ view: DeskView; desk: Desk }>()
const emit = defineEmits<{ write: [to: WrittenTo] }>()
const erasing = ref<Person | null>(null)

const people = computed(() => {
  const compare = orderOf(props.desk.info.value?.language ?? 'en')
  return [...props.view.people].sort((a, b) => compare(a.name, b.name))
})
const { lines, frame, holder, lineStyle } = useLinesInSight(people)
/** Room kept beside the current column, in px. */
const BESIDE = 16

/** The names stay where they are; of the columns, the question that is on is always in sight. */
async function showCurrent(): Promise<void> {
  await nextTick()
  const cell = frame.ref.value?.querySelector<HTMLElement>('th[data-current]')
  if (!frame.ref.value || !cell) return
  const beyond = cell.offsetLeft + cell.offsetWidth + BESIDE - frame.ref.value.clientWidth
  frame.ref.value.scrollLeft = Math.max(0, beyond)
}
watch(() => [props.view.shown?.number, props.view.columns.length], showCurrent, { immediate: true })

async function erase(): Promise<void> {
  const person = erasing.value!
  erasing.value = null
  await props.desk.erase(person.seat)
}
</script>

<template>
  <section :aria-label="t('people')" class="flex min-h-0 flex-col bg-sheet pt-4">
    <div class="mb-2 flex flex-wrap px-4 items-baseline justify-between gap-2">
      <h2 class="text-lg">{{ t('people') }}</h2>
      <HidingSwitches v-if="people.length" />
    </div>
    <p v-if="!people.length" class="px-4 text-slate">{{ t('nobody_has_joined_yet') }}</p>
    <div v-show="people.length" v-bind="frame" class="relative min-h-0 overflow-auto pe-4 pb-4">
      <div :style="holder">
        <table
          :aria-rowcount="people.length + 1"
          class="w-full border-separate border-spacing-x-0.5 border-spacing-y-0 text-[15px]"
        >
          <thead>
            <tr class="text-sm text-slate">
              <th scope="col" class="sticky top-0 start-0 z-20 bg-sheet py-1.5 ps-4 text-start font-normal">
                {{ common('name') }}
              </th>
              <th
                v-if="view.settings.points"
                scope="col"
                class="sticky top-0 z-10 bg-sheet px-1.5 text-end font-normal"
              >
                {{ t('points') }}
              </th>
              <th
                v-for="column in view.columns"
                :key="column"
                scope="col"
                class="sticky top-0 z-10 min-w-8 bg-sheet font-bold"
                :class="column === view.shown?.number && 'text-ink'"
                :data-current="column === view.shown?.number || undefined"
              >
                {{ column }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ data: person, index: line } in lines"
              :key="person.seat"
              :aria-rowindex="line + 2"
              :style="lineStyle"
            >
              <th
                scope="row"
                class="sticky start-0 max-w-44 border-t border-e border-rule bg-sheet py-0 pe-1 ps-4 text-start font-normal has-[[role=menu]]:z-20"
              >
                <PersonName
                  :person="person"
                  :desk="desk"
                  @write="emit('write', { seat: person.seat, name: person.name })"
                  @erase="erasing = person"
                />
              </th>
              <td v-if="view.settings.points" class="border-t border-rule px-1.5 text-end tabular-nums">
                {{ person.points }}
              </td>
              <td v-for="(pane, index) in person.panes" :key="index" class="border-t border-rule p-0">
                <GridPane :value="pane" :hidden="!answersShown" />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <TakenOut :view="view" :desk="desk" />
    <EraseDialog :name="erasing?.name ?? null" @erase="erase" @close="erasing = null" />
  </section>
</template>
