<script setup lang="ts">
/** Larger text, more contrast, no motion: for whoever holds the device, whether a teacher knows of it or not. */
import { chosen, SIZES } from './look'

const NAMES = { normal: 'Usual', large: 'Larger', largest: 'Largest' }
</script>

<template>
  <div
    class="absolute top-full right-0 w-64 space-y-3 rounded border border-slate bg-sheet p-4 text-base text-ink"
  >
    <fieldset>
      <legend class="font-bold">Text</legend>
      <label v-for="size in SIZES" :key="size" class="flex min-h-11 items-center gap-3">
        <input
          v-model="chosen.text"
          type="radio"
          name="text-size"
          :value="size"
          class="size-5 accent-tide"
        />{{ NAMES[size] }}
      </label>
    </fieldset>
    <label class="flex min-h-11 items-center gap-3"
      ><input v-model="chosen.contrast" type="checkbox" class="size-5 accent-tide" />More contrast</label
    >
    <label class="flex min-h-11 items-center gap-3"
      ><input v-model="chosen.calm" type="checkbox" class="size-5 accent-tide" />No motion</label
    >
    <label class="flex min-h-11 items-center gap-3"
      ><input v-model="chosen.aloud" type="checkbox" class="size-5 accent-tide" />Read aloud</label
    >
  </div>
</template>
