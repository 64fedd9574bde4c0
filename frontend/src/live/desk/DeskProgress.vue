<script setup lang="ts">
/** Own pace: how far everybody is, as it comes. Of a crowd, only what is in sight is drawn. */
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { DeskView, Progress } from '@/api/types'
import { clockTime } from '@/composables/format'
import { useLinesInSight } from '@/composables/useLinesInSight'
import { useToasts } from '@/composables/useToasts'
import EraseDialog from '@/ui/EraseDialog.vue'
import GridPane from '@/ui/GridPane.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { answersShown } from './hiding'
import HidingSwitches from './HidingSwitches.vue'
import PersonName from './PersonName.vue'
import { idleSaid, paneOf, shareSaid, sorted, type By } from './progress'
import TakenOut from './TakenOut.vue'
import type { Desk } from './useDesk'
import type { WrittenTo } from './WriteDialog.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ view: DeskView; desk: Desk; now: number }>()
const emit = defineEmits<{ write: [to: WrittenTo] }>()
const { show } = useToasts()
const by = useLocalStorage<By>('lantern.desk-order', 'name')
const erasing = ref<Progress | null>(null)
const lines = computed(() => sorted(props.view.progress, by.value, props.desk.info.value?.language ?? 'en'))
const { lines: inSight, frame, holder, lineStyle } = useLinesInSight(lines)
const questions = computed(() => props.view.run.filter((row) => row.number !== null))
const numbers = computed(() => new Map(props.view.run.map((row) => [row.id, row.number])))
const isTimed = computed(() => props.view.progress.some((line) => line.deadline))

const HANDED_IN = {
  hand: t('handed_in'),
  time: t('time_was_up'),
  due: t('it_was_due'),
  desk: t('taken_in'),
  end: t('taken_in'),
  done: t('is_done'),
  target: t('is_done'),
}
function where(line: Progress): string {
  if (line.handed_in) return HANDED_IN[line.handed_in]
  if (!line.at) return t('not_begun')
  const number = numbers.value.get(line.at)
  return number ? t('question', { number }) : t('a_page')
}
function left(line: Progress): string {
  if (!line.deadline || line.handed_in || props.view.stopped) return ''
  return clockTime(Math.max(0, Math.ceil((line.deadline - props.now) / 1000)))
}

async function erase(): Promise<void> {
  const person = erasing.value!
  erasing.value = null
  await props.desk.erase(person.seat)
}
async function handIn(line: Progress): Promise<void> {
  if (!(await props.desk.handInFor(line.seat))) return
  const run = (): void => void props.desk.reopenPaper(line.seat)
  show(t('the_paper_of_is_taken_in', { name: line.name }), { label: common('undo'), run })
}
async function moreTime(line: Progress): Promise<void> {
  if (await props.desk.giveTime(300, line.seat)) show(t('has_five_minutes_more', { name: line.name }))
}
const ORDERS: [By, string][] = [
  ['name', t('by_name')],
  ['progress', t('by_progress')],
  ['share', t('share_right')],
]
const head = 'sticky top-0 z-10 bg-sheet px-2 font-normal'
const cell = 'border-t border-rule px-2 whitespace-nowrap'
</script>

<template>
  <section :aria-label="t('people')" class="flex min-h-0 flex-col bg-sheet">
    <div class="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1 px-4 pt-3 pb-2">
      <p class="text-sm text-slate">
        {{ t('by_2') }}
        <template v-for="([one, words], index) in ORDERS" :key="one"
          ><template v-if="index"> · </template
          ><button
            type="button"
            class="rounded px-0.5 underline-offset-2"
            :class="by === one ? 'font-bold text-ink' : 'underline'"
            :aria-pressed="by === one"
            @click="by = one"
          >
            {{ words }}
          </button></template
        >
      </p>
      <HidingSwitches v-if="lines.length" />
    </div>
    <p v-if="!lines.length" class="px-4 pb-4 text-slate">{{ t('nobody_has_joined_yet') }}</p>
    <div v-show="lines.length" v-bind="frame" class="relative min-h-0 overflow-auto pe-4 pb-4">
      <div :style="holder">
        <table
          :aria-rowcount="lines.length + 1"
          class="w-full border-separate border-spacing-x-0.5 border-spacing-y-0 text-[15px]"
        >
          <thead>
            <tr class="text-sm text-slate">
              <th
                scope="col"
                class="sticky top-0 start-0 z-20 bg-sheet py-1.5 ps-4 text-start font-normal whitespace-nowrap"
              >
                {{ common('name') }}
              </th>
              <th scope="col" :class="head" class="text-start">{{ t('is_at') }}</th>
              <th scope="col" :class="head" class="text-end">{{ t('answered') }}</th>
              <th scope="col" :class="head" class="text-end">{{ t('right') }}</th>
              <th scope="col" :class="head" class="text-end">{{ t('idle') }}</th>
              <th v-if="isTimed" scope="col" :class="head" class="text-end">{{ t('left') }}</th>
              <th
                v-for="row in questions"
                :key="row.id"
                scope="col"
                class="sticky top-0 z-10 min-w-7 bg-sheet font-bold"
                :class="row.id === view.holds_up && 'text-lamp-ink'"
              >
                {{ row.number }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ data: line, index } in inSight"
              :key="line.seat"
              :aria-rowindex="index + 2"
              :style="lineStyle"
              :class="line.handed_in && 'text-slate'"
            >
              <th
                scope="row"
                class="sticky start-0 max-w-44 min-w-32 border-t border-e border-rule bg-sheet py-0 pe-1 ps-4 text-start font-normal has-[[role=menu]]:z-20"
              >
                <PersonName
                  :person="line"
                  :desk="desk"
                  @write="emit('write', { seat: line.seat, name: line.name })"
                  @erase="erasing = line"
                >
                  <UiMenuAction
                    v-if="desk.can('give_time') && line.deadline && !line.handed_in"
                    @act="moreTime(line)"
                    >{{ t('five_minutes_more') }}</UiMenuAction
                  >
                  <UiMenuAction
                    v-if="line.handed_in && desk.can('reopen_paper')"
                    @act="desk.reopenPaper(line.seat)"
                    >{{ t('give_the_paper_back') }}</UiMenuAction
                  >
                  <UiMenuAction v-else-if="line.at && desk.can('hand_in_for')" @act="handIn(line)">{{
                    t('take_the_paper_in')
                  }}</UiMenuAction>
                </PersonName>
              </th>
              <td :class="cell">
                {{ where(line) }}
                <b v-if="line.stuck && !line.handed_in" class="text-lamp-ink">{{ t('stuck') }}</b>
              </td>
              <td :class="cell" class="text-end tabular-nums">
                <template v-if="line.of">{{ line.answered }} / {{ line.of }}</template>
                <template v-else-if="line.at">{{ line.answered }}</template>
              </td>
              <td :class="cell" class="text-end tabular-nums">{{ answersShown ? shareSaid(line) : '' }}</td>
              <td :class="cell" class="text-end tabular-nums">{{ idleSaid(line, now) }}</td>
              <td v-if="isTimed" :class="cell" class="text-end tabular-nums">{{ left(line) }}</td>
              <td v-for="(row, at) in questions" :key="row.id" class="border-t border-rule p-0">
                <GridPane
                  v-if="paneOf(line.panes[at] ?? '.') !== undefined"
                  :value="paneOf(line.panes[at] ?? '.')!"
                  :hidden="!answersShown"
                />
                <span v-else class="sr-only">{{ t('not_on_this_paper') }}</span>
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
