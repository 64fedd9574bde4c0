<script setup lang="ts">
/** A class's link: to become a member. There is no account: a place in the class list is all. */
import { onScopeDispose, ref } from 'vue'
import { Refusal } from '@/api/refusal'
import type { ToJoin } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import PhoneFrame from './PhoneFrame.vue'
import { mainButton } from './recipes'
import { joinClass, lookAtClass } from './request'
import { classKey } from './seat'
import { input } from './who/who'
import { listed } from '@/words'
import { offer } from './ownLanguage'
import { toldOf } from './told'
import { t } from './words'

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
    offer(to.value.languages)
  } catch (failure) {
    const isGone = failure instanceof Refusal && failure.family === 'not_found'
    error.value = isGone ? t('link_gone') : toldOf(failure)
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
    error.value = toldOf(failure)
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
      <h1 class="mt-6 text-3xl wrap-anywhere">
        {{ to ? t('join_class_named', { name: to.class_name }) : t('join_a_class') }}
      </h1>
      <p v-if="to" class="mt-1 text-slate">{{ t('with_teacher', { teacher: listed(to.teachers) }) }}</p>
      <p v-if="error" role="alert" class="mt-4 text-wrong">{{ error }}</p>
      <div class="mt-6 text-lg" role="status">
        <p v-if="to?.state === 'closed'">{{ t('class_closed') }}</p>
        <p v-else-if="to?.state === 'waiting'">
          {{ t('class_waiting', { name: to.name }) }}
        </p>
        <p v-else-if="to?.state === 'turned_away'">{{ t('turned_away') }}</p>
        <template v-else-if="to?.state === 'in'">
          <p class="font-bold">{{ t('in_the_list', { name: to.name }) }}</p>
          <p class="mt-3">{{ t('type_this_code') }}</p>
          <p class="figure text-3xl tracking-wide">
            <bdi>{{ spacedCode(to.code) }}</bdi>
          </p>
          <template v-if="to.phrase">
            <p class="mt-4">{{ t('phrase_of_yours') }}</p>
            <p class="figure text-2xl">
              <bdi>{{ to.phrase }}</bdi>
            </p>
          </template>
        </template>
      </div>
      <template v-if="to?.state === 'ask' || to?.state === 'open'">
        <label for="name" class="mb-1 block font-bold">{{ t('name_for_class') }}</label>
        <input id="name" v-model="name" :class="input" autocomplete="name" maxlength="80" />
        <label for="record" class="mt-4 mb-1 block font-bold">{{ t('record_id_if_asked') }}</label>
        <input id="record" v-model="recordId" :class="input" autocomplete="off" maxlength="100" />
        <p class="mt-1 text-[15px] text-slate">
          {{ t('record_id_unseen') }}
        </p>
      </template>
      <template v-if="to?.state === 'ask' || to?.state === 'open'" #foot>
        <button type="submit" :class="mainButton" :disabled="busy || !name.trim()">
          {{ t(to.state === 'ask' ? 'ask_to_be_let_in' : 'join_the_class') }}
        </button>
      </template>
    </PhoneFrame>
  </form>
</template>
