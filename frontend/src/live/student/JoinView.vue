<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { Refusal, sentenceOf } from '@/api/refusal'
import type { CodeInfo, Joined } from '@/api/types'
import PhoneFrame from './PhoneFrame.vue'
import { mainButton } from './recipes'
import { join, lookUp } from './request'
import { joinKey } from './seat'

const props = defineProps<{ code: string; notice: string }>()
const emit = defineEmits<{ joined: [seat: Joined] }>()

const WHOLE = /^[A-Z]{2,8}[2-9]{3}$/
const typed = ref(spaced(props.code))
const name = ref('')
const info = ref<CodeInfo | null>(null)
const busy = ref(false)
const errors = ref<{ code?: string; name?: string; form?: string }>({})
const wanted = computed(() => typed.value.replace(/[\s-]/g, '').toUpperCase())

function spaced(text: string): string {
  return text.replace(/(\d+)$/, ' $1').trim()
}

watch(
  wanted,
  async (now) => {
    info.value = null
    errors.value.code = undefined
    if (!WHOLE.test(now)) return
    try {
      const found = await lookUp(now, joinKey())
      if (wanted.value === now) info.value = found
    } catch (error) {
      if (wanted.value === now) errors.value = { code: sentenceOf(error) }
    }
  },
  { immediate: true },
)

async function enter(): Promise<void> {
  errors.value = {}
  if (!WHOLE.test(wanted.value)) {
    errors.value = { code: 'A code is a word and three digits, as KELP 427. It stands on the big screen.' }
    return
  }
  busy.value = true
  try {
    emit('joined', await join(wanted.value, name.value, joinKey()))
  } catch (error) {
    const field =
      error instanceof Refusal && (error.field === 'code' || error.field === 'name') ? error.field : 'form'
    errors.value = { [field]: sentenceOf(error) }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form novalidate @submit.prevent="enter">
    <PhoneFrame left="Tall Lantern">
      <p v-if="notice && !errors.form" role="alert" class="mb-4 border-l-4 border-lamp bg-sheet px-3 py-2">
        {{ notice }}
      </p>
      <h1 v-if="code" class="mt-6 mb-3 text-3xl">{{ info ? `Join “${info.title}”` : 'Join the session' }}</h1>
      <h1 v-else class="mt-6 mb-3 text-3xl"><label for="code">Type the code on the screen</label></h1>
      <label v-if="code" for="code" class="mb-1 block font-bold">Code on the screen</label>
      <input
        id="code"
        v-model="typed"
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
        <template v-else-if="info">{{ code ? '' : `${info.title}, ` }}with {{ info.teacher }}</template>
      </p>
      <template v-if="!info || info.ask_names">
        <label for="name" class="mt-5 mb-1 block font-bold">Name the class will see</label>
        <input
          id="name"
          v-model="name"
          class="w-full rounded border border-edge bg-sheet px-3 py-3 text-lg"
          autocomplete="nickname"
          maxlength="40"
          :aria-invalid="!!errors.name"
          aria-describedby="name-note"
        />
        <p id="name-note" class="mt-2 min-h-6 text-wrong" role="status">{{ errors.name }}</p>
      </template>
      <p v-else class="mt-5 text-slate">Nobody asks for your name here. You get a number.</p>
      <p v-if="errors.form" role="alert" class="mt-3 text-wrong">{{ errors.form }}</p>
      <template #foot>
        <button type="submit" :class="mainButton" :disabled="busy">{{ busy ? 'Joining…' : 'Join' }}</button>
      </template>
    </PhoneFrame>
  </form>
</template>
