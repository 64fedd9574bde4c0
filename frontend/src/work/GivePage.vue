<script setup lang="ts">
/** A set, or a session's questions, given as work. */
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { SegmentedChoice, WhatIsAsked, WhatTime, WhatToSettle } from '@/live/run'
import { counted } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import { field } from '@/ui/recipes'
import ForWhom from './ForWhom.vue'
import WhatCounts from './WhatCounts.vue'
import WhatTheyPlay from './WhatTheyPlay.vue'
import WhatTheySee from './WhatTheySee.vue'
import WhenItIs from './WhenItIs.vue'
import { useGiving } from './useGiving'
import { PURPOSES } from './words'

const { query } = useRoute()
const router = useRouter()
const source = { set: Number(query.set) || null, session: Number(query.session) || null }
const giving = useGiving(source)
const { offer, terms, settings, title, purpose, busy, failure } = giving
const isBlocked = ref(false)

const purposes = computed(() =>
  PURPOSES.filter((one) => one.value !== 'make_up' || source.session).map(({ value, words }) => ({
    value,
    words,
  })),
)
const hint = computed(() => PURPOSES.find((one) => one.value === purpose.value)!.hint)
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
    <h1 class="mb-1 text-3xl">Set it as work</h1>
    <p v-if="!offer && !failure" class="text-slate" role="status">Looking at it…</p>
    <template v-if="offer && terms && settings">
      <p class="mb-4 text-slate">
        {{ counted(offer.questions, 'question')
        }}{{ source.session ? ', as they were asked, with that session’s key' : '' }}. What you change in the
        set later changes nothing here.
      </p>
      <WhatToSettle v-if="source.set" v-model:blocked="isBlocked" :set="source.set" />
      <SegmentedChoice v-model="purpose" label="What it is for" :options="purposes" />
      <p class="mt-1 mb-4 text-[15px] text-slate" role="status">{{ hint }}</p>
      <div class="space-y-4">
        <UiField v-model="title" label="Title" />
        <ForWhom :giving="giving" :problem="problemAt('classes', 'named', 'of_class')" />
        <WhenItIs v-model="terms" :zone="offer.zone" :problem="problemAt('due')" />
        <label class="block"
          ><span class="mb-1 block font-bold">Words to the students</span>
          <textarea v-model="terms.words" rows="3" maxlength="2000" :class="field" />
        </label>
      </div>
      <div class="my-4 divide-y divide-rule border-y border-rule">
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">Attempts, and what one works for</summary>
          <WhatCounts v-model="terms" />
        </details>
        <details v-if="offer.games?.length || offer.kept?.length" :open="!!problemAt('game')">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">Played as</summary>
          <WhatTheyPlay
            v-model="settings"
            :games="offer.games ?? []"
            :kept="offer.kept ?? []"
            :problem="problemAt('game')"
          />
        </details>
        <details :open="!!problemAt('topics')">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">What is asked</summary>
          <WhatIsAsked v-model="settings" :offer="offer" :problem="problemAt('topics')" />
        </details>
        <details :open="!!problemAt('until')">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">How much time there is</summary>
          <WhatTime v-model="settings" :problem="problemAt('until')" />
        </details>
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">What students see, and when</summary>
          <WhatTheySee v-model:settings="settings" v-model:terms="terms" />
        </details>
      </div>
    </template>
    <p v-if="failure && !isPlaced" role="alert" class="mb-3 text-wrong">{{ failure.sentence }}</p>
    <div class="flex flex-wrap gap-3">
      <UiButton look="main" size="large" :disabled="!settings || busy || isBlocked" @click="give">{{
        busy ? 'Giving it…' : 'Give it'
      }}</UiButton>
      <UiButton size="large" look="quiet" @click="router.back()">Not now</UiButton>
    </div>
  </div>
</template>
