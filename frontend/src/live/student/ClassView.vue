<script setup lang="ts">
/** A class's link: to become a member. There is no account: a place in the class list is all. */
import { onScopeDispose, ref } from 'vue'
import { Refusal, sentenceOf } from '@/api/refusal'
import type { ToJoin } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import PhoneFrame from './PhoneFrame.vue'
import { mainButton } from './recipes'
import { joinClass, lookAtClass } from './request'
import { classKey } from './seat'
import { input } from './who/who'

const props = defineProps<{ link: string }>()
const LOOK_AGAIN = 4000
const to = ref<ToJoin | null>(null)
const name = ref('')
const recordId = ref('')
const busy = ref(false)
const error = ref('')
let timer: ReturnType<typeof setTimeout> | undefined

async function look(): Promise<void> {
  clearTimeout(timer)
  try {
    to.value = await lookAtClass(props.link, classKey(props.link))
    error.value = ''
  } catch (failure) {
    const isGone = failure instanceof Refusal && failure.code === 'not_found'
    error.value = isGone
      ? 'This link leads nowhere any more. Ask your teacher for another one.'
      : sentenceOf(failure)
    if (isGone) return
  }
  if (!to.value || to.value.state === 'waiting') timer = setTimeout(look, LOOK_AGAIN)
}

async function ask(): Promise<void> {
  busy.value = true
  error.value = ''
  try {
    to.value = await joinClass(
      props.link,
      { name: name.value, record_id: recordId.value },
      classKey(props.link),
    )
    if (to.value.state === 'waiting') timer = setTimeout(look, LOOK_AGAIN)
  } catch (failure) {
    error.value = sentenceOf(failure)
  } finally {
    busy.value = false
  }
}

void look()
onScopeDispose(() => clearTimeout(timer))
</script>

<template>
  <form novalidate @submit.prevent="ask">
    <PhoneFrame left="Tall Lantern">
      <h1 class="mt-6 text-3xl wrap-anywhere">{{ to ? `Join ${to.class_name}` : 'Join a class' }}</h1>
      <p v-if="to" class="mt-1 text-slate">with {{ to.teachers.join(', ') }}</p>
      <p v-if="error" role="alert" class="mt-4 text-wrong">{{ error }}</p>
      <div class="mt-6 text-lg" role="status">
        <p v-if="to?.state === 'closed'">This class takes no new members just now. Ask your teacher.</p>
        <p v-else-if="to?.state === 'waiting'">
          Thank you, {{ to.name }}. Your teacher lets you in; keep this page open, it tells you.
        </p>
        <p v-else-if="to?.state === 'turned_away'">Your teacher did not let you in. Ask in class.</p>
        <template v-else-if="to?.state === 'in'">
          <p class="font-bold">You are in the class list, {{ to.name }}.</p>
          <p class="mt-3">Whenever something runs, type this code:</p>
          <p class="figure text-3xl tracking-wide">{{ spacedCode(to.code) }}</p>
          <template v-if="to.phrase">
            <p class="mt-4">Your pass phrase says who you are. Write it down, and tell nobody:</p>
            <p class="figure text-2xl">{{ to.phrase }}</p>
          </template>
        </template>
      </div>
      <template v-if="to?.state === 'ask' || to?.state === 'open'">
        <label for="name" class="mb-1 block font-bold">Your name, as the class knows you</label>
        <input id="name" v-model="name" :class="input" autocomplete="name" maxlength="80" />
        <label for="record" class="mt-4 mb-1 block font-bold">Record ID, if your teacher asked for it</label>
        <input id="record" v-model="recordId" :class="input" autocomplete="off" maxlength="100" />
        <p class="mt-1 text-[15px] text-slate">
          Your school’s number or e-mail. Other students never see it.
        </p>
      </template>
      <template v-if="to?.state === 'ask' || to?.state === 'open'" #foot>
        <button type="submit" :class="mainButton" :disabled="busy || !name.trim()">
          {{ to.state === 'ask' ? 'Ask to be let in' : 'Join the class' }}
        </button>
      </template>
    </PhoneFrame>
  </form>
</template>
