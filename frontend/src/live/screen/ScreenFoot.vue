<script setup lang="ts">
import { computed } from 'vue'
import type { ScreenView, SessionInfo } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import { looks, type Look } from './bigScreen'
import { t } from './words'

const props = defineProps<{
  view: ScreenView
  info: SessionInfo | null
  offline: boolean
  /** Sound is on, and the browser waits until somebody touches the page. */
  soundWaits: boolean
}>()
const look = defineModel<Look>('look', { required: true })
const sound = defineModel<boolean>('sound', { required: true })
const volume = defineModel<number>('volume', { required: true })
const emit = defineEmits<{ full: [] }>()

const address = computed(() => props.info?.join_url.replace(/^https?:\/\//, '').replace(/\/[^/]+$/, '') ?? '')
const showsCode = computed(() => !['lobby', 'ended'].includes(props.view.phase))
const quiet = 'rounded px-2 text-[18px] text-soft hover:text-front'
</script>

<template>
  <footer
    class="relative flex flex-wrap items-baseline gap-x-[1em] gap-y-2 pt-[2vh] text-[max(18px,0.7em)] text-soft"
  >
    <!-- Out of sight until somebody reaches for them; they take no room from what the class reads. -->
    <div
      class="absolute end-0 bottom-full flex items-center gap-1 rounded bg-ground opacity-0 focus-within:opacity-100 group-hover:opacity-100"
    >
      <label :class="quiet"
        ><span class="sr-only">{{ t('look') }}</span>
        <select v-model="look" class="bg-ground text-front">
          <option v-for="(words, one) in looks()" :key="one" :value="one">{{ words }}</option>
        </select>
      </label>
      <button type="button" :class="quiet" :aria-pressed="sound" @click="sound = !sound">
        {{ sound ? t('sound_off') : t('sound_on') }} (S)
      </button>
      <input
        v-if="sound"
        v-model.number="volume"
        type="range"
        min="0"
        max="1"
        step="0.05"
        :aria-label="t('volume')"
        :class="quiet"
        class="w-32"
      />
      <button type="button" :class="quiet" @click="emit('full')">{{ t('full_screen') }} (F)</button>
    </div>
    <p v-if="offline" role="alert" class="font-bold text-light">{{ t('no_connection') }}</p>
    <p v-else-if="view.locked && view.phase !== 'ended'">{{ t('doors_locked') }}</p>
    <p v-else-if="showsCode">
      {{ t('join_at') }} <b class="font-display text-[1.25em] text-light">{{ address }}</b>
      {{ t('join_with') }}
      <b class="figure text-[1.25em] tracking-wider whitespace-nowrap text-light">{{
        spacedCode(view.code)
      }}</b>
    </p>
    <span class="grow" />
    <p v-if="soundWaits" class="text-light">{{ t('press_for_sound') }}</p>
    <p v-if="view.shown?.number" role="status">
      {{ t('have_answered', { answered: view.answered, people: view.people }) }}
    </p>
  </footer>
</template>
