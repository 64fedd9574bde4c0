<script setup lang="ts" generic="M extends string">
/** How teams are made, and how many there are. */
import { computed } from 'vue'
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import { t } from './words'

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
  ['drawn', t('drawn_as_they_come_in')],
  ['chosen', t('chosen_by_the_players')],
  ['listed', t('the_groups_of_the_class_list')],
  ['balanced', t('balanced_by_earlier_marks')],
  ['shared', t('one_for_each_shared_device')],
] as const
const ways = computed(() => [...MADE, ...(props.more ?? [])])
const knowsMembers = computed(() => ['list', 'record_id'].includes(props.settings.known))
const hasNumber = computed(
  () => made.value !== 'shared' && !props.withoutNumber?.some((one) => one === made.value),
)
const note = computed(() => {
  if (made.value === 'shared') return t('each_device_is_a_team', { most: props.most })
  if (!['listed', 'balanced'].includes(made.value)) return ''
  if (!knowsMembers.value) return t('for_this_students')
  return made.value === 'listed' ? t('a_group_is_what_the_class') : t('they_are_made_when_it_starts')
})

function set(event: Event): void {
  const field = event.target as HTMLInputElement
  const wanted = Math.round(Number(field.value)) || 4
  teams.value = Math.min(props.most, Math.max(2, wanted))
}
</script>

<template>
  <label class="flex flex-wrap items-center gap-2"
    ><span class="font-bold">{{ t('teams_are') }}</span>
    <select v-model="made" :class="smallField">
      <option v-for="[value, words] in ways" :key="value" :value="value">{{ words }}</option>
    </select>
  </label>
  <p v-if="note" class="text-slate">{{ note }}</p>
  <label v-if="hasNumber" class="flex items-center gap-2"
    ><span class="font-bold">{{ t('how_many') }}</span>
    <input type="number" min="2" :max="most" :class="smallField" class="w-20" :value="teams" @change="set" />
    <span class="text-slate">{{ hint }}</span>
  </label>
</template>
