<script setup lang="ts">
/** Everyone by every question, as a wall of panes. */
import { useLocalStorage } from '@vueuse/core'
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed, ref } from 'vue'
import type { PersonReport, SessionReport } from '@/api/types'
import { score } from '@/composables/format'
import { useLinesInSight } from '@/composables/useLinesInSight'
import EraseDialog from '@/ui/EraseDialog.vue'
import GridPane from '@/ui/GridPane.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'

const props = defineProps<{ report: SessionReport['report']; hardest: string[] }>()
const emit = defineEmits<{ erase: [seat: number] }>()
const order = useLocalStorage<'hardest' | 'asked'>('lantern.grid-order', 'hardest')
const namesShown = useLocalStorage('lantern.grid-names', true)

/** Indices into the report's questions, in the order of the columns. */
const columns = computed(() => {
  const all = props.report.questions.map((question, index) => ({ question, index }))
  if (order.value === 'asked') return all
  const rank = (id: string): number => {
    const at = props.hardest.indexOf(id)
    return at < 0 ? props.hardest.length : at
  }
  return all.sort((a, b) => rank(a.question.item) - rank(b.question.item))
})
const { lines, frame, holder, lineStyle, isCrowd } = useLinesInSight(computed(() => props.report.people))
const erasing = ref<PersonReport | null>(null)

function erase(): void {
  emit('erase', erasing.value!.seat)
  erasing.value = null
}
const toggle = 'underline underline-offset-2'
</script>

<template>
  <section class="rounded border border-rule bg-sheet py-3.5">
    <div class="mb-2 flex px-4.5 flex-wrap items-baseline justify-between gap-x-6">
      <h2 class="text-lg">Everyone, every question</h2>
      <p class="text-[15px] text-slate">
        <button type="button" :class="toggle" @click="order = order === 'hardest' ? 'asked' : 'hardest'">
          {{ order === 'hardest' ? 'hardest first' : 'in the order of the set' }}
        </button>
        · names
        <button type="button" :class="toggle" :aria-pressed="namesShown" @click="namesShown = !namesShown">
          {{ namesShown ? 'shown' : 'hidden' }}
        </button>
      </p>
    </div>
    <div
      v-bind="frame"
      role="group"
      aria-label="The grid, to be scrolled"
      tabindex="0"
      class="relative overflow-auto pr-4.5"
      :class="isCrowd && 'max-h-[85vh]'"
    >
      <div :style="holder">
        <table
          :aria-rowcount="report.people.length + 1"
          class="w-full border-separate border-spacing-x-0.5 border-spacing-y-0 text-[15px]"
        >
          <thead>
            <tr class="text-sm text-slate">
              <th
                scope="col"
                class="sticky top-0 left-0 z-10 bg-sheet pl-4.5 text-left align-bottom font-normal"
              >
                Name
              </th>
              <th scope="col" class="sticky top-0 bg-sheet px-1.5 text-right align-bottom font-normal">
                Score
              </th>
              <th
                v-for="{ question } in columns"
                :key="question.item"
                scope="col"
                class="sticky top-0 min-w-9 bg-sheet px-0.5 pb-1"
                :title="question.title"
              >
                <span class="block font-bold">{{ question.number }}</span>
                <span class="block text-xs font-normal">{{
                  question.share === null ? '–' : Math.round(question.share * 100)
                }}</span>
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
                class="sticky left-0 max-w-56 has-[[role=menu]]:z-20 border-t border-rule bg-sheet py-1 pr-2 pl-4.5 text-left font-normal"
              >
                <Menu v-if="namesShown" as="div" class="relative">
                  <MenuButton class="block w-full truncate rounded text-left">{{ person.name }}</MenuButton>
                  <MenuItems
                    class="absolute left-0 z-20 min-w-36 rounded border border-slate bg-sheet py-1 focus:outline-none"
                  >
                    <UiMenuAction danger @act="erasing = person">Erase the name…</UiMenuAction>
                  </MenuItems>
                </Menu>
                <template v-else>Seat {{ person.seat }}</template>
              </th>
              <td class="border-t border-rule px-1.5 text-right tabular-nums">
                {{ score(person.score)
                }}<span v-if="person.out_of !== report.top_score" class="text-slate">
                  of {{ person.out_of }}</span
                >
              </td>
              <td
                v-for="{ question, index } in columns"
                :key="question.item"
                class="h-7.5 border-t border-rule p-0"
              >
                <GridPane :value="person.panes[index] ?? null" />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <EraseDialog :name="erasing?.name ?? null" @erase="erase" @close="erasing = null" />
  </section>
</template>
