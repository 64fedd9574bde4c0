<script setup lang="ts">
/** Everyone by every question. Names and answers can be hidden at once. Of a crowd, only what is in sight is drawn. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useLocalStorage } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import type { DeskView, Person } from '@/api/types'
import { useLinesInSight } from '@/composables/useLinesInSight'
import { useToasts } from '@/composables/useToasts'
import EraseDialog from '@/ui/EraseDialog.vue'
import GridPane from '@/ui/GridPane.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import type { Desk } from './useDesk'

const props = defineProps<{ view: DeskView; desk: Desk }>()
const { show } = useToasts()
const namesShown = useLocalStorage('lantern.desk-names', true)
const answersShown = useLocalStorage('lantern.desk-answers', true)
const renaming = ref<{ seat: number; name: string } | null>(null)
const erasing = ref<Person | null>(null)
const section = ref<HTMLElement>()

const { compare } = new Intl.Collator(undefined, { numeric: true })
const people = computed(() => [...props.view.people].sort((a, b) => compare(a.name, b.name)))
const { lines, frame, holder, lineStyle } = useLinesInSight(people)
/** Room kept beside the current column, in px. */
const BESIDE = 16
const toggle = 'rounded px-0.5 underline underline-offset-2'

/** The names stay where they are; of the columns, the question that is on is always in sight. */
async function showCurrent(): Promise<void> {
  await nextTick()
  const cell = frame.ref.value?.querySelector<HTMLElement>('th[data-current]')
  if (!frame.ref.value || !cell) return
  const beyond = cell.offsetLeft + cell.offsetWidth + BESIDE - frame.ref.value.clientWidth
  frame.ref.value.scrollLeft = Math.max(0, beyond)
}
watch(() => [props.view.shown?.number, props.view.columns.length], showCurrent, { immediate: true })

async function startRenaming(person: Person): Promise<void> {
  renaming.value = { seat: person.seat, name: person.name }
  await nextTick()
  section.value?.querySelector<HTMLInputElement>('input')?.select()
}

async function finishRenaming(): Promise<void> {
  const change = renaming.value
  renaming.value = null
  const before = props.view.people.find((person) => person.seat === change?.seat)
  if (change && before && before.name !== change.name) await props.desk.rename(change.seat, change.name)
}

async function erase(): Promise<void> {
  const person = erasing.value!
  erasing.value = null
  await props.desk.erase(person.seat)
}

async function free(person: Person): Promise<void> {
  if (await props.desk.release(person.seat))
    show(`${person.name} may go on on another device: whoever takes the name next has the seat.`)
}

async function remove(person: Person): Promise<void> {
  if (!(await props.desk.remove(person.seat))) return
  show(`${person.name} is out of the session.`, {
    label: 'Undo',
    run: () => void props.desk.restore(person.seat),
  })
}
</script>

<template>
  <section ref="section" aria-label="People" class="flex min-h-0 flex-col bg-sheet pt-4">
    <div class="mb-2 flex flex-wrap px-4 items-baseline justify-between gap-2">
      <h2 class="text-lg">People</h2>
      <p v-if="people.length" class="text-sm text-slate">
        names
        <button type="button" :class="toggle" :aria-pressed="namesShown" @click="namesShown = !namesShown">
          {{ namesShown ? 'shown' : 'hidden' }}
        </button>
        · answers
        <button
          type="button"
          :class="toggle"
          :aria-pressed="answersShown"
          @click="answersShown = !answersShown"
        >
          {{ answersShown ? 'shown' : 'hidden' }}
        </button>
      </p>
    </div>
    <p v-if="!people.length" class="px-4 text-slate">Nobody has joined yet.</p>
    <div v-show="people.length" v-bind="frame" class="relative min-h-0 overflow-auto pr-4 pb-4">
      <div :style="holder">
        <table
          :aria-rowcount="people.length + 1"
          class="w-full border-separate border-spacing-x-0.5 border-spacing-y-0 text-[15px]"
        >
          <thead>
            <tr class="text-sm text-slate">
              <th scope="col" class="sticky top-0 left-0 z-20 bg-sheet py-1.5 pl-4 text-left font-normal">
                Name
              </th>
              <th scope="col" class="sticky top-0 z-10 bg-sheet px-1.5 text-right font-normal">Points</th>
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
                class="sticky left-0 max-w-44 border-t border-r border-rule bg-sheet py-0 pr-1 pl-4 text-left font-normal has-[[role=menu]]:z-20"
              >
                <input
                  v-if="renaming?.seat === person.seat"
                  v-model="renaming.name"
                  class="w-full rounded border border-edge px-1"
                  maxlength="40"
                  aria-label="Name"
                  @keydown.enter="finishRenaming"
                  @keydown.esc="renaming = null"
                  @blur="finishRenaming"
                />
                <Menu v-else as="div" class="relative">
                  <MenuButton
                    class="block w-full truncate rounded py-1 text-left"
                    :class="!person.here && 'text-slate italic'"
                  >
                    {{ namesShown ? person.name : `Seat ${person.seat}` }}
                    <span v-if="!person.here" class="text-xs">(away)</span>
                  </MenuButton>
                  <MenuItems
                    class="absolute left-0 z-20 min-w-36 rounded border border-slate bg-sheet py-1 focus:outline-none"
                  >
                    <UiMenuAction @act="startRenaming(person)">Rename</UiMenuAction>
                    <UiMenuAction @act="desk.liftFog(person.seat, !person.fog_lifted)">{{
                      person.fog_lifted ? 'Pictures in fog again' : 'Pictures without fog'
                    }}</UiMenuAction>
                    <UiMenuAction v-if="person.claim === 'held'" @act="free(person)"
                      >Free the name</UiMenuAction
                    >
                    <UiMenuAction danger @act="remove(person)">Remove</UiMenuAction>
                    <UiMenuAction danger @act="erasing = person">Erase the name…</UiMenuAction>
                  </MenuItems>
                </Menu>
              </th>
              <td class="border-t border-rule px-1.5 text-right tabular-nums">{{ person.points }}</td>
              <td v-for="(pane, index) in person.panes" :key="index" class="border-t border-rule p-0">
                <GridPane :value="pane" :hidden="!answersShown" />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <p v-if="view.taken_out.length" class="border-t border-rule px-4 py-2 text-[15px]">
      Taken out:
      <span v-for="one in view.taken_out" :key="one.seat" class="mr-3 inline-block">
        {{ namesShown ? one.name : `Seat ${one.seat}` }}
        <button type="button" class="font-bold text-tide underline" @click="desk.restore(one.seat)">
          let in again<span class="sr-only">: {{ one.name }}</span>
        </button>
      </span>
    </p>
    <EraseDialog :name="erasing?.name ?? null" @erase="erase" @close="erasing = null" />
  </section>
</template>
