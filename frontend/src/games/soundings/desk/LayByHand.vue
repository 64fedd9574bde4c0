<script setup lang="ts">
/** Channels and their soundings, laid by hand: it begins with the chart as it lays itself. */
import { computed } from 'vue'
import type { GameOf, Planned } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import { smallField } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

type Laid = NonNullable<GameOf<'soundings'>['laid']>

const props = defineProps<{ plan: Planned }>()
const laid = defineModel<Laid | null | undefined>({ required: true })
const MOST_CHANNELS = 8
const MOST_SOUNDINGS = 10

/** Every question that could lie on the chart, by its id. */
const known = computed(() => {
  const lying = (props.plan.layout ?? []).flatMap((part) => part.questions)
  const left = props.plan.unplayed.filter((one) => one.why.code === 'unplayed_no_room')
  return new Map(
    [...lying, ...left].map((one) => [one.id, `${one.number ?? ''} ${one.title || common('untitled')}`]),
  )
})
const out = computed(() => {
  const lying = new Set((laid.value ?? []).flatMap((one) => one.questions))
  return [...known.value.keys()].filter((id) => !lying.has(id))
})

const begin = (): void => {
  laid.value = (props.plan.layout ?? []).map((part) => ({
    name: part.name,
    questions: part.questions.map((one) => one.id),
  }))
}
const change = (work: (channels: { name: string; questions: string[] }[]) => void): void => {
  const copy = (laid.value ?? []).map((one) => ({
    name: one.name ?? '',
    questions: [...(one.questions ?? [])],
  }))
  work(copy)
  laid.value = copy
}
const rename = (index: number, name: string): void => change((all) => (all[index]!.name = name.slice(0, 60)))
const add = (): void => change((all) => all.push({ name: '', questions: [] }))
const remove = (index: number): void => change((all) => all.splice(index, 1))

function step(index: number, place: number, by: number): void {
  change((all) => {
    const { questions } = all[index]!
    const [one] = questions.splice(place, 1)
    questions.splice(place + by, 0, one!)
  })
}

/** Into another channel, at its far end; -1: off the chart. */
function put(id: string, into: number): void {
  change((all) => {
    for (const channel of all) channel.questions = channel.questions.filter((one) => one !== id)
    if (into >= 0 && all[into]!.questions.length < MOST_SOUNDINGS) all[into]!.questions.push(id)
  })
}
const picked = (event: Event): number => Number((event.target as HTMLSelectElement).value)
</script>

<template>
  <UiButton v-if="!laid" size="small" @click="begin">{{ t('lay_it_by_hand') }}</UiButton>
  <div v-else class="space-y-3">
    <fieldset
      v-for="(channel, index) in laid"
      :key="index"
      class="min-w-0 rounded border border-rule px-3 py-2"
    >
      <legend class="sr-only">{{ t('channel', { number: index + 1 }) }}</legend>
      <div class="flex items-center gap-2">
        <input
          :value="channel.name"
          :class="smallField"
          class="min-w-0 grow font-bold"
          maxlength="60"
          :placeholder="t('open_water')"
          :aria-label="t('name_of_channel', { number: index + 1 })"
          @input="rename(index, ($event.target as HTMLInputElement).value)"
        />
        <UiButton look="quiet" size="small" @click="remove(index)"
          >{{ common('remove') }}
          <span class="sr-only">{{ t('channel_2', { number: index + 1 }) }}</span></UiButton
        >
      </div>
      <ol>
        <li
          v-for="(id, place) in channel.questions"
          :key="id"
          class="flex flex-wrap items-center justify-end gap-2 border-t border-rule py-1 first:border-0 sm:flex-nowrap"
        >
          <span class="figure w-5 shrink-0 text-end">{{ place + 1 }}</span>
          <span class="line-clamp-2 min-w-0 grow basis-[calc(100%-2rem)] sm:line-clamp-1 sm:basis-0">{{
            known.get(id) ?? t('not_asked_any_more')
          }}</span>
          <UiButton
            look="quiet"
            size="small"
            class="px-2!"
            :disabled="!place"
            :aria-label="t('nearer', { question: known.get(id) ?? '' })"
            @click="step(index, place, -1)"
            >↑</UiButton
          >
          <UiButton
            look="quiet"
            size="small"
            class="px-2!"
            :disabled="place === (channel.questions?.length ?? 0) - 1"
            :aria-label="t('further_out', { question: known.get(id) ?? '' })"
            @click="step(index, place, 1)"
            >↓</UiButton
          >
          <select
            :class="smallField"
            class="w-28"
            :aria-label="t('channel_of', { question: known.get(id) ?? '' })"
            :value="index"
            @change="put(id, picked($event))"
          >
            <option v-for="(other, number) in laid" :key="number" :value="number">
              {{ other.name || t('channel', { number: number + 1 }) }}
            </option>
            <option :value="-1">{{ t('off_the_chart') }}</option>
          </select>
        </li>
      </ol>
      <p v-if="!channel.questions?.length" class="text-slate">{{ t('nothing_lies_here_yet') }}</p>
    </fieldset>
    <div v-if="out.length">
      <p class="font-bold">{{ t('not_on_the_chart') }}</p>
      <ul>
        <li
          v-for="id in out"
          :key="id"
          class="flex flex-wrap items-center justify-end gap-2 py-0.5 sm:flex-nowrap"
        >
          <span class="line-clamp-2 min-w-0 grow basis-full sm:line-clamp-1 sm:basis-0">{{
            known.get(id)
          }}</span>
          <select
            :class="smallField"
            class="w-28"
            :aria-label="t('channel_of', { question: known.get(id) ?? '' })"
            :value="-1"
            @change="put(id, picked($event))"
          >
            <option :value="-1">–</option>
            <option
              v-for="(other, number) in laid"
              :key="number"
              :value="number"
              :disabled="(other.questions?.length ?? 0) >= MOST_SOUNDINGS"
            >
              {{ other.name || t('channel', { number: number + 1 }) }}
            </option>
          </select>
        </li>
      </ul>
    </div>
    <div class="flex flex-wrap gap-2">
      <UiButton v-if="laid.length < MOST_CHANNELS" size="small" @click="add">{{
        t('add_a_channel')
      }}</UiButton>
      <UiButton size="small" look="quiet" @click="laid = null">{{ t('let_it_lay_itself') }}</UiButton>
    </div>
  </div>
</template>
