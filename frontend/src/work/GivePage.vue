<script setup lang="ts">
/** A set, or a session's questions, given as work. */
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { SegmentedChoice, WhatIsAsked, WhatTime, WhatToSettle } from '@/live/run'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import { field } from '@/ui/recipes'
import ForWhom from './ForWhom.vue'
import WhatCounts from './WhatCounts.vue'
import WhatTheyPlay from './WhatTheyPlay.vue'
import WhatTheySee from './WhatTheySee.vue'
import WhenItIs from './WhenItIs.vue'
import { useGiving } from './useGiving'
import { purposes as allPurposes } from './inWords'
import { t } from './words'
import { t as common } from '@/ui/words'

const { query } = useRoute()
const router = useRouter()
const source = { set: Number(query.set) || null, session: Number(query.session) || null }
const giving = useGiving(source)
const { offer, terms, settings, title, purpose, busy, failure } = giving
const isBlocked = ref(false)

const purposes = computed(() =>
  allPurposes()
    .filter((one) => one.value !== 'make_up' || source.session)
    .map(({ value, words }) => ({
      value,
      words,
    })),
)
const hint = computed(() => allPurposes().find((one) => one.value === purpose.value)!.hint)
const problemAt = (...places: string[]): string | undefined =>
  failure.value && places.includes(failure.value.field) ? failure.value.sentence : undefined
const isPlaced = computed(() =>
  ['due', 'classes', 'named', 'of_class', 'topics', 'until', 'game'].includes(failure.value?.field ?? ''),
)

async function give(): Promise<void> {
  const made = await giving.give()
  if (made) await router.push(`/work/${made.id}`)
}
</script>

<template>
  <div class="mx-auto max-w-3xl px-6 py-6">
    <h1 class="mb-1 text-3xl">{{ t('set_it_as_work') }}</h1>
    <p v-if="!offer && !failure" class="text-slate" role="status">{{ t('looking_at_it') }}</p>
    <template v-if="offer && terms && settings">
      <p class="mb-4 text-slate">
        {{
          t('questions_what_you_change', {
            n: offer.questions,
            key: source.session ? t('as_they_were_asked') : '',
          })
        }}
      </p>
      <WhatToSettle v-if="source.set" v-model:blocked="isBlocked" :set="source.set" />
      <SegmentedChoice v-model="purpose" :label="t('what_it_is_for')" :options="purposes" />
      <p class="mt-1 mb-4 text-[15px] text-slate" role="status">{{ hint }}</p>
      <div class="space-y-4">
        <UiField v-model="title" :label="t('title')" />
        <ForWhom :giving="giving" :problem="problemAt('classes', 'named', 'of_class')" />
        <WhenItIs v-model="terms" :zone="offer.zone" :problem="problemAt('due')" />
        <label class="block"
          ><span class="mb-1 block font-bold">{{ t('words_to_the_students') }}</span>
          <textarea v-model="terms.words" rows="3" maxlength="2000" :class="field" />
        </label>
      </div>
      <div class="my-4 divide-y divide-rule border-y border-rule">
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">
            {{ t('attempts_and_what_one_works_for') }}
          </summary>
          <WhatCounts v-model="terms" />
        </details>
        <details v-if="offer.games?.length || offer.kept?.length" :open="!!problemAt('game')">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">{{ t('played_as') }}</summary>
          <WhatTheyPlay
            v-model="settings"
            :games="offer.games ?? []"
            :kept="offer.kept ?? []"
            :problem="problemAt('game')"
          />
        </details>
        <details :open="!!problemAt('topics')">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">{{ t('what_is_asked') }}</summary>
          <WhatIsAsked v-model="settings" :offer="offer" :problem="problemAt('topics')" />
        </details>
        <details :open="!!problemAt('until')">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">
            {{ t('how_much_time_there_is') }}
          </summary>
          <WhatTime v-model="settings" :problem="problemAt('until')" />
        </details>
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">
            {{ t('what_students_see_and_when') }}
          </summary>
          <WhatTheySee v-model:settings="settings" v-model:terms="terms" />
        </details>
      </div>
    </template>
    <p v-if="failure && !isPlaced" role="alert" class="mb-3 text-wrong">{{ failure.sentence }}</p>
    <div class="flex flex-wrap gap-3">
      <UiButton look="main" size="large" :disabled="!settings || busy || isBlocked" @click="give">{{
        busy ? t('giving_it') : t('give_it')
      }}</UiButton>
      <UiButton size="large" look="quiet" @click="router.back()">{{ common('not_now') }}</UiButton>
    </div>
  </div>
</template>
