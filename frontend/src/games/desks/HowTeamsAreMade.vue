<script setup lang="ts" generic="M extends string">
/** How teams are made, and how many there are. */
import { computed } from 'vue'
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'

type Made = (typeof MADE)[number][0]

const props = defineProps<{
  settings: Settings
  most: number
  /** Ways that this game has besides. */
  more?: readonly (readonly [M, string])[]
  /** Of these, ways in which nobody says how many teams there are. */
  withoutNumber?: readonly M[]
  /** How teams of different size are dealt with. */
  hint: string
}>()
const made = defineModel<Made | M>('made', { required: true })
const teams = defineModel<number>('teams', { required: true })
const MADE = [
  ['drawn', 'drawn as they come in'],
  ['chosen', 'chosen by the players'],
  ['listed', 'the groups of the class list'],
  ['balanced', 'balanced by earlier marks'],
  ['shared', 'one for each shared device'],
] as const
const ways = computed(() => [...MADE, ...(props.more ?? [])])
const knowsMembers = computed(() => ['list', 'record_id'].includes(props.settings.known))
const hasNumber = computed(
  () => made.value !== 'shared' && !props.withoutNumber?.some((one) => one === made.value),
)
const note = computed(() => {
  if (made.value === 'shared')
    return `Each device is a team, ${props.most} at most. Whoever joins types in the names of all who sit there; reports show them.`
  if (!['listed', 'balanced'].includes(made.value)) return ''
  if (!knowsMembers.value)
    return 'For this, students have to be known by their name in the class list, or by a record ID: see “Who takes part”.'
  return made.value === 'listed'
    ? 'A group is what the class list says of each member. Who has none goes to the smallest team.'
    : 'They are made when it starts, by the mean of each one’s marks in this class’s last ten sessions. Nobody is told it.'
})

function set(event: Event): void {
  const field = event.target as HTMLInputElement
  const wanted = Math.round(Number(field.value)) || 4
  teams.value = Math.min(props.most, Math.max(2, wanted))
}
</script>

<template>
  <label class="flex flex-wrap items-center gap-2"
    ><span class="font-bold">Teams are</span>
    <select v-model="made" :class="smallField">
      <option v-for="[value, words] in ways" :key="value" :value="value">{{ words }}</option>
    </select>
  </label>
  <p v-if="note" class="text-slate">{{ note }}</p>
  <label v-if="hasNumber" class="flex items-center gap-2"
    ><span class="font-bold">How many</span>
    <input type="number" min="2" :max="most" :class="smallField" class="w-20" :value="teams" @change="set" />
    <span class="text-slate">{{ hint }}</span>
  </label>
</template>
