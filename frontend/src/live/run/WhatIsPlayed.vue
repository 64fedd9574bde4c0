<script setup lang="ts">
/** What is played with the set: a game, or nothing; and which of its questions count in it. */
import { RadioGroup, RadioGroupDescription, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import type { GameName, Planned, RunOffer, Settings } from '@/api/types'
import { deskOf } from '@/games/desks'
import GameRules from '@/games/shared/GameRules.vue'
import UiButton from '@/ui/UiButton.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { playedAs, playing } from './chosen'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const props = defineProps<{ set: number; offer: RunOffer; plan: Planned | null; problem?: string }>()
const settings = defineModel<Settings>({ required: true })

const choices = computed(() =>
  props.offer.games
    .filter((one) => one.manner === settings.value.manner)
    .map(({ game, played: count, pairs }) => {
      if (!game)
        return {
          game: '' as const,
          label: t('just_questions'),
          hint: t('no_points_no_places'),
          fits: '',
          none: false,
        }
      const { label, hint } = deskOf(game as GameName)
      return { game: game as GameName, label: label(), hint: hint(), fits: fitOf(count, pairs), none: !count }
    }),
)

/** Pictures of each game with what this set holds, where somebody wants to see them. */
const GamePreview = defineAsyncComponent(() => import('./GamePreview.vue'))
const looks = ref(false)
const fitting = computed(() =>
  choices.value.flatMap((one) => (one.game && !one.none ? [{ ...one, game: one.game }] : [])),
)
const settingsOf = (game: GameName): Settings =>
  game === played.value ? settings.value : playing(props.offer, settings.value, game)

/** How much of this set counts in a game, in pairs where these are what it plays. */
function fitOf(count: number, pairs: number | null): string {
  const all = props.offer.questions
  if (!count) return t('no_question_of_this_set_fits')
  if (pairs !== null) return `${common('n_pairs', { n: pairs })}.`
  return count === all ? t('all_questions', { n: all }) : t('of_questions', { n: all, count })
}
const played = computed({
  get: () => playedAs(settings.value),
  set: (game) => (settings.value = playing(props.offer, settings.value, game)),
})
/** By the name alone: whoever writes in these settings must not lose the field to every change of them. */
const own = computed(() =>
  played.value ? defineAsyncComponent(deskOf(played.value as GameName).settings) : null,
)
const unplayed = computed(() =>
  (props.plan?.unplayed ?? []).map(
    (one) =>
      `${one.number ? `${one.number} ` : ''}${one.title || common('untitled')}: ${told(one.why).replace(/\.$/, '')}`,
  ),
)
</script>

<template>
  <div class="py-3">
    <RadioGroup v-model="played">
      <RadioGroupLabel as="p" class="mb-1 font-bold">{{ t('played_as') }}</RadioGroupLabel>
      <div class="grid gap-x-2 sm:grid-cols-2">
        <RadioGroupOption
          v-for="one in choices"
          :key="one.game"
          v-slot="{ checked }"
          :value="one.game"
          :disabled="one.none"
          :class="one.none ? 'text-slate' : 'cursor-pointer'"
        >
          <span class="flex min-h-11 items-baseline gap-2 rounded px-1 py-1.5">
            <span
              class="size-4 shrink-0 translate-y-0.5 rounded-full border-2"
              :class="checked ? 'border-5 border-tide' : 'border-edge'"
              aria-hidden="true"
            />
            <span>
              <RadioGroupLabel as="span" class="font-bold">{{ one.label }}</RadioGroupLabel>
              <RadioGroupDescription as="span" class="block text-[15px] text-slate"
                >{{ one.hint }} <span class="whitespace-nowrap">{{ one.fits }}</span></RadioGroupDescription
              >
            </span>
          </span>
        </RadioGroupOption>
      </div>
    </RadioGroup>
    <UiButton v-if="!looks" size="small" class="mt-1" @click="looks = true">{{
      t('see_each_with_this_set')
    }}</UiButton>
    <div v-else class="mt-2 space-y-4 border-y border-rule py-3">
      <figure v-for="one in fitting" :key="one.game">
        <figcaption class="mb-1 flex items-baseline gap-3">
          <b>{{ one.label }}</b>
          <UiButton v-if="one.game !== played" look="quiet" size="small" @click="played = one.game"
            >{{ t('play_this') }}<span class="sr-only">: {{ one.label }}</span></UiButton
          >
          <span v-else class="text-[15px] text-slate">{{ t('chosen') }}</span>
        </figcaption>
        <GamePreview :set="set" :settings="settingsOf(one.game)" :label="one.label" />
      </figure>
      <UiButton look="quiet" size="small" @click="looks = false">{{ t('close_the_pictures') }}</UiButton>
    </div>
    <p v-if="problem" role="alert" class="mt-1 text-wrong">{{ problem }}</p>
    <template v-if="played">
      <div class="mt-1">
        <component :is="own" v-model="settings.game" v-model:settings="settings" :plan="plan" />
      </div>
      <p v-if="plan && plan.pairs === null" class="mt-1" role="status">
        {{ t('questions_count_in_it', { n: plan.played }) }}
      </p>
      <details v-if="unplayed.length" class="text-[15px]">
        <summary class="min-h-8 cursor-pointer py-1">
          {{ t('do_not_and_why', { n: unplayed.length }) }}
        </summary>
        <ul class="ms-5 list-disc">
          <li v-for="line in unplayed" :key="line">{{ line }}</li>
        </ul>
      </details>
      <UiSwitch
        :model-value="settings.lights ?? true"
        :label="t('everybody_has_a_light_of_their')"
        :hint="t('a_sign_beside_their_name_answers')"
        @update:model-value="settings = { ...settings, lights: $event }"
      />
      <details class="text-[15px]">
        <summary class="min-h-8 cursor-pointer py-1">{{ t('what_players_are_told_before') }}</summary>
        <GameRules :game="settings.game" class="my-2 border-s border-rule ps-3" />
      </details>
    </template>
  </div>
</template>
