<script setup lang="ts">
import { computed, defineAsyncComponent, onScopeDispose, ref, watch } from 'vue'
import { Refusal } from '@/api/refusal'
import type { CodeInfo, Joined } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import PhoneFrame from './PhoneFrame.vue'
import { mainButton } from './recipes'
import { join, lookUp } from './request'
import { joinKey, keptSeat } from './seat'
import { asking, type Who } from './who'
import { offer } from './ownLanguage'
import { toldOf } from './told'
import { t } from './words'

const ClassDoorView = defineAsyncComponent(() => import('./ClassDoorView.vue'))
const props = defineProps<{ code: string; phrase: string; notice: string }>()
const emit = defineEmits<{ joined: [seat: Joined] }>()

/** A session's code has three digits, a class's standing code four. */
const WHOLE = /^[A-Z]{2,8}[2-9]{3,4}$/
const STANDING = /\d{4}$/
/** In milliseconds: a fourth digit may still come; and something may begin in a class. */
const TYPING = 500
const LOOK_AGAIN = 4000
/** Names are taken and freed by others while one looks for one's own. */
const NAMES_AGAIN = 6000
const typed = ref(spacedCode(props.code))
const who = ref<Who>(props.phrase ? { phrase: props.phrase } : {})
const info = ref<CodeInfo | null>(null)
const busy = ref(false)
const errors = ref<Record<string, string>>({})
const wanted = computed(() => typed.value.replace(/[\s-]/g, '').toUpperCase())
const asks = computed(() => info.value?.asks ?? null)
let timer: ReturnType<typeof setTimeout> | undefined

function lookIn(milliseconds: number): void {
  clearTimeout(timer)
  timer = setTimeout(look, milliseconds)
}

async function look(): Promise<void> {
  const now = wanted.value
  try {
    const found = await lookUp(now, joinKey())
    if (wanted.value !== now) return
    info.value = found
    offer(found.languages)
    errors.value.code = ''
    const kept = STANDING.test(now) && found.asks ? keptSeat(found.code) : null
    if (kept) emit('joined', kept)
    if (!found.asks && !found.running?.length) lookIn(LOOK_AGAIN)
    if (found.asks === 'list') lookIn(NAMES_AGAIN)
  } catch (error) {
    if (wanted.value !== now) return
    if (info.value && (!asks.value || asks.value === 'list'))
      lookIn(LOOK_AGAIN) // it waits: a network may come back
    else errors.value = { code: toldOf(error) }
  }
}

watch(
  wanted,
  (now) => {
    clearTimeout(timer)
    info.value = null
    errors.value.code = ''
    if (WHOLE.test(now)) lookIn(STANDING.test(now) || props.code ? 0 : TYPING)
  },
  { immediate: true },
)
onScopeDispose(() => clearTimeout(timer))

async function enter(): Promise<void> {
  errors.value = {}
  if (!WHOLE.test(wanted.value)) {
    errors.value = {
      code: t('code_wanted'),
    }
    return
  }
  busy.value = true
  try {
    emit('joined', await join(info.value?.code ?? wanted.value, who.value, joinKey()))
  } catch (error) {
    const field = (error instanceof Refusal && error.field) || 'form'
    errors.value = { [field]: toldOf(error) }
    if (field === 'member') void look() // who is taken has changed
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form novalidate @submit.prevent="enter">
    <PhoneFrame left="Tall Lantern">
      <p v-if="notice && !errors.form" role="alert" class="mb-4 border-s-4 border-lamp bg-sheet px-3 py-2">
        {{ notice }}
      </p>
      <h1 v-if="code" class="mt-6 mb-3 text-3xl wrap-anywhere">
        {{
          asks
            ? t('join_title', { title: info!.title })
            : info
              ? info.class_name || info.title
              : t('join_session')
        }}
      </h1>
      <h1 v-else class="mt-6 mb-3 text-3xl">
        <label for="code">{{ t('type_the_code') }}</label>
      </h1>
      <label v-if="code" for="code" class="mb-1 block font-bold">{{
        t(STANDING.test(wanted) ? 'code_of_class' : 'code_on_screen')
      }}</label>
      <input
        id="code"
        v-model="typed"
        dir="ltr"
        class="w-full rounded border-2 border-ink bg-sheet px-3 py-3 text-center font-display text-3xl font-bold tracking-widest uppercase"
        autocomplete="off"
        autocapitalize="characters"
        spellcheck="false"
        maxlength="16"
        :aria-invalid="!!errors.code"
        aria-describedby="code-note"
      />
      <p id="code-note" class="mt-2 min-h-6" :class="errors.code ? 'text-wrong' : 'text-slate'" role="status">
        <template v-if="errors.code">{{ errors.code }}</template>
        <template v-else-if="asks">{{
          t(code ? 'with_teacher' : 'titled_with_teacher', { title: info!.title, teacher: info!.teacher })
        }}</template>
      </p>
      <ClassDoorView v-if="info && !asks" :info="info" @choose="typed = spacedCode($event)" />
      <div v-else class="mt-5">
        <component
          :is="asking[asks ?? 'nickname']"
          v-if="asks || !code"
          v-model="who"
          :info="info"
          :errors="errors"
        />
      </div>
      <p v-if="errors.form" role="alert" class="mt-3 text-wrong">{{ errors.form }}</p>
      <template #foot>
        <button type="submit" :class="mainButton" :disabled="busy || (!!info && !asks)">
          {{ t(busy ? 'joining' : 'join') }}
        </button>
      </template>
    </PhoneFrame>
  </form>
</template>
