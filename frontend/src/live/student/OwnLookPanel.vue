<script setup lang="ts">
/** Larger text, more contrast, no motion: for whoever holds the device, whether a teacher knows of it or not. */
import { chosen, offers, SIZES } from './look'
import { language, LANGUAGES, type Language } from '@/words'
import { pick } from './ownLanguage'
import { t } from './words'
</script>

<template>
  <div
    class="on-light absolute end-0 top-full max-h-[calc(100dvh/var(--zoom,1)-3.5rem)] w-64 max-w-[calc(100vw/var(--zoom,1)-2rem)] space-y-3 overflow-y-auto rounded border border-slate bg-sheet p-4 text-base text-ink"
  >
    <fieldset>
      <legend class="font-bold">{{ t('text') }}</legend>
      <label v-for="size in SIZES" :key="size" class="flex min-h-11 items-center gap-3">
        <input
          v-model="chosen.text"
          type="radio"
          name="text-size"
          :value="size"
          class="size-5 accent-tide"
        />{{ t(`text_${size}`) }}
      </label>
    </fieldset>
    <label class="flex min-h-11 items-center gap-3"
      ><input v-model="chosen.contrast" type="checkbox" class="size-5 accent-tide" />{{
        t('more_contrast')
      }}</label
    >
    <label class="flex min-h-11 items-center gap-3"
      ><input v-model="chosen.calm" type="checkbox" class="size-5 accent-tide" />{{ t('no_motion') }}</label
    >
    <label v-if="offers.aloud" class="flex min-h-11 items-center gap-3"
      ><input v-model="chosen.aloud" type="checkbox" class="size-5 accent-tide" />{{ t('read_aloud') }}</label
    >
    <label class="flex min-h-11 items-center gap-3"
      ><input v-model="chosen.sounds" type="checkbox" class="size-5 accent-tide" />{{ t('sounds') }}</label
    >
    <label for="page-language" class="block font-bold">{{ t('page_language') }}</label>
    <select
      id="page-language"
      class="min-h-11 w-full rounded border border-edge bg-sheet px-2"
      :value="language"
      @change="pick(($event.target as HTMLSelectElement).value as Language)"
    >
      <option v-for="(name, one) in LANGUAGES" :key="one" :value="one" :lang="one">{{ name }}</option>
    </select>
  </div>
</template>
