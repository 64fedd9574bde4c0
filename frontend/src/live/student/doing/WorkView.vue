<script setup lang="ts">
/** A link to set work: who it is, their page, and the attempt that they work on. */
import { defineAsyncComponent, onScopeDispose, shallowRef } from 'vue'
import { Refusal } from '@/api/refusal'
import type { AttemptMessage, Entered, Mine, MyWork } from '@/api/types'
import { need } from '../look'
import { needLanguage, offer } from '../ownLanguage'
import PhoneFrame from '../PhoneFrame.vue'
import { told } from './told'
import DoorView from './DoorView.vue'
import OwnPage from './OwnPage.vue'
import { forgetPass, keepAttempt, keepPass, keptAttempt, keptPass } from './pass'
import { beginAttempt, beginPractice, myWork, practiseMissed, readAttempt } from './request'
import { openWithoutNetwork } from './worker'
import { t } from './words'

const AttemptView = defineAsyncComponent(() => import('./AttemptView.vue'))
const props = defineProps<{ link: string }>()
const pass = shallowRef<Entered | null>(keptPass(props.link))
const work = shallowRef<MyWork | null>(null)
const begun = shallowRef<AttemptMessage | null>(null)
const notice = shallowRef('')
const busy = shallowRef(false)
const isAnother = shallowRef(false)
/** Of the attempt that was handed in just now. */
const fresh = shallowRef<number | null>(null)
/** What came of the round of practice that is over. */
const practised = shallowRef<Mine | null>(null)

openWithoutNetwork()

function enter(entered: Entered): void {
  keepPass(entered)
  pass.value = entered
  notice.value = ''
  offer(entered.languages)
  void look()
}

function leave(why?: Refusal): void {
  forgetPass(props.link)
  isAnother.value = true
  pass.value = work.value = begun.value = null
  notice.value = why ? told(why) : ''
}

const isGone = (error: unknown): error is Refusal => error instanceof Refusal && error.code === 'unknown_pass'

async function look(): Promise<void> {
  const token = pass.value!.token
  try {
    work.value = await myWork(token)
    notice.value = ''
    const entered = { ...pass.value!, name: work.value.name, number: work.value.number }
    keepPass(entered)
    pass.value = entered
    need(work.value.needs ?? undefined)
    needLanguage(work.value.needs?.language)
    history.replaceState(null, '', `/w/${props.link}`)
  } catch (error) {
    if (isGone(error)) leave(error)
    else goOnWithoutNetwork(error)
  }
}

/** What was begun on this device can be gone on with. */
function goOnWithoutNetwork(error: unknown): void {
  const number = Number(localStorage.getItem(`lantern.at.${props.link}`))
  const kept = number ? keptAttempt(pass.value!.token, number) : null
  if (kept && !kept.message.mine.paper?.handed_in) begun.value = kept.message
  else notice.value = error instanceof Refusal ? told(error) : t('not_now')
}

async function open(work: () => Promise<AttemptMessage>): Promise<void> {
  busy.value = true
  notice.value = ''
  fresh.value = practised.value = null
  try {
    const message = await work()
    localStorage.setItem(`lantern.at.${props.link}`, String(message.attempt))
    begun.value = message
    scrollTo(0, 0)
  } catch (error) {
    if (isGone(error)) leave(error)
    else notice.value = error instanceof Refusal ? told(error) : t('not_now')
    void look()
  } finally {
    busy.value = false
  }
}

const begin = (): Promise<void> => open(() => beginAttempt(pass.value!.token))
const goOn = (number: number): Promise<void> => open(() => readAttempt(pass.value!.token, number))

const practise = (): Promise<void> => open(() => beginPractice(pass.value!.token))
const practiseOf = (number: number): Promise<void> => open(() => practiseMissed(pass.value!.token, number))

async function over(handedIn: boolean, mine?: Mine): Promise<void> {
  const number = begun.value!.attempt
  if (handedIn) {
    keepAttempt(pass.value!.token, number, null)
    localStorage.removeItem(`lantern.at.${props.link}`)
    if (begun.value!.practice) practised.value = mine ?? null
    else fresh.value = number
  }
  await look()
  begun.value = null
  scrollTo(0, 0)
}

/** It may have been opened, or opened again, meanwhile. */
const seen = (): void => void (document.visibilityState === 'visible' && pass.value && !begun.value && look())
document.addEventListener('visibilitychange', seen)
onScopeDispose(() => document.removeEventListener('visibilitychange', seen))

if (pass.value) {
  offer(pass.value.languages)
  void look()
}
</script>

<template>
  <DoorView v-if="!pass" :link="link" :notice="notice" :is-another="isAnother" @entered="enter" />
  <AttemptView
    v-else-if="begun"
    :key="begun.attempt"
    :token="pass.token"
    :begun="begun"
    :name="pass.name"
    :number="pass.number ?? 1"
    :title="begun.practice ? t('practice') : (work?.title ?? begun.view.title)"
    @over="over"
    @gone="leave"
  />
  <OwnPage
    v-else-if="work"
    :work="work"
    :token="pass.token"
    :notice="notice"
    :busy="busy"
    :fresh="fresh"
    :practised="practised"
    @begin="begin"
    @go-on="goOn"
    @practise="practise"
    @practise-missed="practiseOf"
    @leave="leave()"
  />
  <PhoneFrame v-else left="Tall Lantern">
    <p v-if="notice" role="alert" class="pt-10 text-lg">{{ notice }}</p>
    <p v-else class="pt-10 text-lg text-slate" role="status">{{ t('opening') }}</p>
    <template v-if="notice" #foot>
      <button type="button" class="min-h-11 w-full rounded border border-ink font-bold" @click="look">
        {{ t('try_again') }}
      </button>
    </template>
  </PhoneFrame>
</template>
