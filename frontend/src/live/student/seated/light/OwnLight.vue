<script setup lang="ts">
/** One's own light, in words and to be changed; after the end with the shells that the session gave. */
import { defineAsyncComponent, ref, watch } from 'vue'
import type { Mine, OwnLightInfo } from '@/api/types'
import LightSign from '@/lights/LightSign.vue'
import { lightInWords } from '@/lights/named'
import type { SeatLink } from '../useSeat'
import { t } from './words'

const LightEditor = defineAsyncComponent(() => import('./LightEditor.vue'))
const props = defineProps<{ mine: Mine; own?: SeatLink['own']; ended?: boolean }>()
const changing = ref(false)
const heading = ref<HTMLElement | null>(null)
/** What was chosen after the end is for the next session. */
const info = ref<OwnLightInfo | null>(null)

watch(
  () => props.ended,
  async (ended) => {
    if (ended) info.value = (await props.own?.light().catch(() => null)) ?? null
  },
  { immediate: true },
)
function close(chosen?: OwnLightInfo): void {
  changing.value = false
  if (chosen) info.value = chosen
  heading.value?.focus()
}
const shown = (): string => (props.ended && info.value?.light) || props.mine.light!
</script>

<template>
  <section class="mt-7" :aria-labelledby="`own-light-${mine.seat}`">
    <h2 :id="`own-light-${mine.seat}`" ref="heading" tabindex="-1" class="text-xl">{{ t('your_light') }}</h2>
    <LightEditor v-if="changing && own" :own="own" :light="shown()" :ended="ended" @close="close" />
    <div v-else class="mt-2 flex items-start gap-4">
      <LightSign :light="shown()" class="h-32 shrink-0" />
      <div class="min-w-0">
        <p dir="auto">{{ lightInWords(shown()) }}</p>
        <template v-if="ended && info?.kept">
          <p v-if="info.earned" class="mt-2 font-bold" role="status">{{ t('earned', { n: info.earned }) }}</p>
          <p class="mt-1 text-slate">{{ t('you_have', { n: info.shells }) }}</p>
        </template>
        <button
          v-if="own"
          type="button"
          class="mt-2 min-h-11 rounded border border-ink bg-sheet px-4 py-2 font-bold"
          @click="changing = true"
        >
          {{ t('change') }}
        </button>
      </div>
    </div>
  </section>
</template>
