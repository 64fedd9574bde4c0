<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { ItemProblem } from '@/api/types'
import { games } from '@/games/registry'
import { viewsOf } from '@/questions/registry'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { useChosen, useChosenClass } from './chosen'
import WhoTakesPart from './WhoTakesPart.vue'

const props = defineProps<{ set: number; title: string }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()

const settings = useChosen()
const ofClass = useChosenClass()
const gameSettings = computed(() => defineAsyncComponent(games[settings.value.game.game].settings))
const busy = ref(false)
const error = ref('')
const MOST_SAID = 4

/** What has to be settled before it can run, said before the doors are tried. */
const toSettle = ref<(ItemProblem & { place: string })[]>([])
const isEmpty = ref(false)
const isBlocked = computed(() => isEmpty.value || toSettle.value.length > 0)

async function look(): Promise<void> {
  const path = { set_id: props.set }
  const found = await data(api.GET('/api/sets/{set_id}', { params: { path } })).catch(() => null)
  if (!found) return
  isEmpty.value = !found.items.length
  let number = 0
  const places = new Map(
    found.items.map(({ item }) => [item.id, viewsOf(item).isAsked ? `Question ${++number}` : 'A page']),
  )
  toSettle.value = found.problems
    .filter((one) => one.problem.severity === 'wrong')
    .map((one) => ({ ...one, place: places.get(one.item) ?? '' }))
}

function goThere(at: ItemProblem): void {
  emit('close')
  void router.push({ path: `/sets/${props.set}`, query: { at: at.item, field: at.problem.field } })
}

void look()

async function start(): Promise<void> {
  busy.value = true
  error.value = ''
  try {
    const body = { set: props.set, of_class: ofClass.value, settings: settings.value }
    const session = await data(api.POST('/api/live/sessions', { body }))
    await router.push(`/desk/${session.id}`)
  } catch (failure) {
    error.value = sentenceOf(failure)
    busy.value = false
  }
}
</script>

<template>
  <UiDialog open :title="`Run “${title || 'Untitled set'}”`" @close="emit('close')">
    <div v-if="isBlocked" role="alert" class="mb-3 rounded border border-wrong px-4 py-3">
      <p v-if="isEmpty">There is nothing in this set yet. Write a question first.</p>
      <template v-else>
        <p>Something has to be settled before it can run:</p>
        <ul class="mt-1 space-y-1">
          <li v-for="one in toSettle.slice(0, MOST_SAID)" :key="one.item + one.problem.field">
            <button type="button" class="text-left font-bold text-tide underline" @click="goThere(one)">
              {{ one.place }}: {{ one.problem.sentence }}
            </button>
          </li>
        </ul>
        <p v-if="toSettle.length > MOST_SAID" class="mt-1 text-slate">
          and {{ toSettle.length - MOST_SAID }} more
        </p>
      </template>
    </div>
    <p class="text-slate">You lead: everyone sees the same question, and you decide when it goes on.</p>
    <div class="my-3 divide-y divide-rule border-y border-rule">
      <WhoTakesPart v-model:of-class="ofClass" v-model:known="settings.known" />
      <UiSwitch
        v-model="settings.mix_options"
        label="Mix the options"
        hint="In one new order, the same on every device, so that letters still agree."
      />
      <UiSwitch
        v-model="settings.show_standings"
        label="Show standings"
        hint="Points and places after each scored question."
      />
      <component :is="gameSettings" v-model="settings.game" />
      <UiSwitch
        v-model="settings.close_when_all_answered"
        label="Go on when all have answered"
        hint="The question closes at once, whatever time is left."
      />
    </div>
    <p v-if="error" role="alert" class="mb-3 text-wrong">{{ error }}</p>
    <div class="flex gap-3">
      <UiButton look="main" size="large" :disabled="busy || isBlocked" @click="start">{{
        busy ? 'Opening the doors…' : 'Open the doors'
      }}</UiButton>
      <UiButton size="large" @click="emit('close')">Not now</UiButton>
    </div>
  </UiDialog>
</template>
