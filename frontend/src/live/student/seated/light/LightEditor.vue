<script setup lang="ts">
/** A light put together out of its parts: which part, then which form of it. */
import { computed, nextTick, onMounted, ref } from 'vue'
import type { OwnLightInfo } from '@/api/types'
import { PARTS, partsOf, withForm, type Part } from '@/lights/forms'
import LightSign from '@/lights/LightSign.vue'
import { formName, lightInWords, partName } from '@/lights/named'
import { mainButton } from '../../recipes'
import { toldOf } from '../../told'
import type { SeatLink } from '../useSeat'
import { costs, cheapest, mayHave } from './shells'
import { t } from './words'

const props = defineProps<{ own: NonNullable<SeatLink['own']>; light: string; ended?: boolean }>()
const emit = defineEmits<{ close: [chosen?: OwnLightInfo] }>()
const info = ref<OwnLightInfo | null>(null)
const wanted = ref(props.light)
const part = ref<Part>('roof')
const busy = ref(false)
const error = ref('')
const parts = ref<HTMLElement | null>(null)

const forms = computed(() => {
  const prices = info.value?.offers?.find((one) => one.part === part.value)?.prices ?? []
  return prices.map((price, form) => ({
    form,
    light: withForm(wanted.value, part.value, form),
    name: formName(part.value, form),
    price: info.value && mayHave(info.value, part.value, form) ? 0 : price,
  }))
})
const price = computed(() => (info.value ? costs(info.value, wanted.value) : 0))
const missing = computed(() => Math.max(0, price.value - (info.value?.shells ?? 0)))
const isAsItWas = computed(() => wanted.value === props.light)

async function load(): Promise<void> {
  error.value = ''
  try {
    info.value = await props.own.light()
    await nextTick()
    parts.value?.querySelector<HTMLInputElement>('input:checked')?.focus()
  } catch (failure) {
    error.value = toldOf(failure)
  }
}
onMounted(load)

/** One out of what is free, or theirs. */
function drawOne(): void {
  let drawn = wanted.value
  for (const one of PARTS) {
    const has = cheapest(info.value!, one)
    drawn = withForm(drawn, one, has[Math.floor(Math.random() * has.length)]!)
  }
  wanted.value = drawn
}

async function take(): Promise<void> {
  busy.value = true
  error.value = ''
  try {
    emit('close', await props.own.chooseLight(wanted.value))
  } catch (failure) {
    error.value = toldOf(failure)
  } finally {
    busy.value = false
  }
}
const chosenForm = (one: Part): number => partsOf(wanted.value).find(([name]) => name === one)![1]
</script>

<template>
  <div class="mt-2">
    <p v-if="error && !info" role="alert" class="text-wrong">{{ error }}</p>
    <p v-else-if="!info" role="status" class="text-slate">{{ t('loading') }}</p>
    <template v-else>
      <div
        class="sticky top-[2.85rem] z-5 -mx-4 flex items-center gap-4 border-b border-rule bg-fog px-4 py-2"
      >
        <LightSign :light="wanted" class="h-28 shrink-0" />
        <div class="min-w-0 grow">
          <button type="button" :class="mainButton" :disabled="busy || !!missing || isAsItWas" @click="take">
            {{ price && !missing ? t('take_for', { n: price }) : t('take') }}
          </button>
          <p v-if="error" role="alert" class="mt-1 text-wrong">{{ error }}</p>
          <p v-else-if="missing" role="status" class="mt-1">{{ t('more_wanted', { n: missing }) }}</p>
          <button type="button" class="min-h-11 font-bold text-tide" @click="emit('close')">
            {{ t('leave_it') }}
          </button>
        </div>
      </div>
      <p class="mt-2" dir="auto" role="status">{{ lightInWords(wanted) }}</p>
      <button type="button" class="min-h-11 font-bold text-tide" @click="drawOne">{{ t('draw_one') }}</button>
      <p class="mt-1 text-slate">
        {{ info.kept ? `${t('you_have', { n: info.shells })} ${t('how_earned')}` : t('for_now') }}
      </p>
      <fieldset ref="parts" class="mt-3">
        <legend class="sr-only">{{ t('which_part') }}</legend>
        <div class="flex flex-wrap gap-2">
          <label
            v-for="one in PARTS"
            :key="one"
            class="flex min-h-11 scroll-mt-48 cursor-pointer items-center rounded border px-3 font-bold focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-tide"
            :class="part === one ? 'border-ink bg-ink text-sheet' : 'border-edge bg-sheet'"
          >
            <input
              v-model="part"
              type="radio"
              name="light-part"
              :value="one"
              class="sr-only scroll-mt-48"
            />{{ partName(one) }}
          </label>
        </div>
      </fieldset>
      <fieldset class="mt-3">
        <legend class="sr-only">{{ partName(part) }}</legend>
        <div class="grid grid-cols-[repeat(auto-fill,minmax(6.6rem,1fr))] gap-2">
          <label
            v-for="one in forms"
            :key="one.form"
            class="flex scroll-mt-48 cursor-pointer flex-col items-center gap-1 rounded border-2 bg-sheet px-1 py-2 text-center text-[15px] leading-tight focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-tide"
            :class="chosenForm(part) === one.form ? 'border-ink' : 'border-transparent'"
          >
            <input
              type="radio"
              name="light-form"
              class="sr-only scroll-mt-48"
              :value="one.form"
              :checked="chosenForm(part) === one.form"
              @change="wanted = one.light"
            />
            <LightSign :light="one.light" class="h-16" />
            <span dir="auto">{{ one.name }}</span>
            <span v-if="one.price" class="text-slate">{{ t('shells', { n: one.price }) }}</span>
          </label>
        </div>
      </fieldset>
      <p v-if="ended && info.kept" class="mt-2 text-slate">{{ t('next_time') }}</p>
    </template>
    <button v-if="!info" type="button" class="min-h-11 font-bold text-tide" @click="emit('close')">
      {{ t('leave_it') }}
    </button>
  </div>
</template>
