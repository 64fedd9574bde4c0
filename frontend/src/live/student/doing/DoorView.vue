<script setup lang="ts">
/** A link to set work before it is known who opens it. */
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { Refusal } from '@/api/refusal'
import type { CodeInfo, Entered, WorkDoor } from '@/api/types'
import { offer } from '../ownLanguage'
import PhoneFrame from '../PhoneFrame.vue'
import { mainButton } from '../recipes'
import { told, toldOf } from './told'
import { asking, type Who } from '../who'
import { anyPass, workKey } from './pass'
import { enterWork, lookAtDoor } from './request'
import { moment } from './times'
import { t as ofStudents } from '../words'
import { t } from './words'

const props = defineProps<{
  link: string
  notice: string
  /** Somebody has just said that they are another: nobody is taken for known. */
  isAnother: boolean
}>()
const emit = defineEmits<{ entered: [pass: Entered] }>()
const LOOK_AGAIN = 20_000
const door = shallowRef<WorkDoor | null>(null)
const who = ref<Who>({})
const busy = ref(false)
const errors = ref<Record<string, string>>({})
const failure = ref('')
let timer: ReturnType<typeof setTimeout> | undefined

/** What asks who somebody is has asked of a session's code until now. */
const info = computed<CodeInfo>(() => ({
  code: '',
  title: door.value!.title ?? '',
  teacher: door.value!.teacher ?? '',
  asks: door.value!.asks ?? null,
  names: door.value!.names ?? [],
}))

async function look(): Promise<void> {
  clearTimeout(timer)
  try {
    door.value = await lookAtDoor(props.link)
    failure.value = ''
    offer(door.value.languages)
    if (door.value.door === 'not_yet') timer = setTimeout(look, LOOK_AGAIN)
    else if (door.value.asks) await enterAsKnown()
  } catch (error) {
    const isGone = error instanceof Refusal && error.family === 'not_found'
    failure.value = isGone ? t('link_gone') : toldOf(error)
    if (!isGone) timer = setTimeout(look, LOOK_AGAIN)
  }
}

/** Who is known in the class by other work on this device need not say it again. */
async function enterAsKnown(): Promise<void> {
  const known = anyPass(props.link)
  if (!known || props.isAnother) return
  try {
    emit('entered', await enterWork(props.link, { key: workKey(props.link), known }))
  } catch {
    // Then it is asked.
  }
}

async function enter(): Promise<void> {
  busy.value = true
  errors.value = {}
  try {
    emit('entered', await enterWork(props.link, { ...who.value, key: workKey(props.link) }))
  } catch (error) {
    const field = (error instanceof Refusal && error.field) || 'form'
    errors.value = { [field]: error instanceof Refusal ? told(error) : toldOf(error) }
    if (field === 'member') void look()
  } finally {
    busy.value = false
  }
}

void look()
onScopeDispose(() => clearTimeout(timer))
</script>

<template>
  <form novalidate @submit.prevent="enter">
    <PhoneFrame left="Tall Lantern">
      <p v-if="notice" role="alert" class="mb-4 border-s-4 border-lamp bg-sheet px-3 py-2">{{ notice }}</p>
      <p v-if="failure" role="alert" class="pt-6 text-lg">{{ failure }}</p>
      <p v-else-if="!door" class="pt-10 text-lg text-slate" role="status">{{ t('opening') }}</p>
      <div v-else-if="door.door === 'not_yet'" class="pt-8" role="status">
        <h1 class="text-3xl">{{ t('not_yet') }}</h1>
        <p class="mt-3 text-lg">{{ t('opens_at', { when: moment(door.opens!, door.zone) }) }}</p>
      </div>
      <h1 v-else-if="door.door === 'withdrawn'" class="pt-8 text-3xl">{{ t('withdrawn') }}</h1>
      <template v-else>
        <h1 class="mt-4 text-3xl wrap-anywhere" dir="auto">{{ door.title || ofStudents('untitled') }}</h1>
        <p class="mt-1 text-slate">
          {{ [door.class_name, door.teacher].filter(Boolean).join(' · ') }}
        </p>
        <p v-if="door.due" class="mt-2 text-lg">{{ t('due_at', { when: moment(door.due, door.zone) }) }}</p>
        <div class="mt-6">
          <component :is="asking[door.asks!]" v-model="who" :info="info" :errors="errors" />
        </div>
        <p v-if="errors.form" role="alert" class="mt-3 text-wrong">{{ errors.form }}</p>
      </template>
      <template v-if="door?.asks" #foot>
        <button type="submit" :class="mainButton" :disabled="busy">{{ t('that_is_me') }}</button>
      </template>
    </PhoneFrame>
  </form>
</template>
