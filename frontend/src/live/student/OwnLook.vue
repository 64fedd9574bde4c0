<script setup lang="ts">
/** Larger text, more contrast, no motion: for whoever holds the device, whether a teacher knows of it or not. */
import { ref } from 'vue'
import { chosen, SIZES } from './look'

const open = ref(false)
const NAMES = { normal: 'Usual', large: 'Larger', largest: 'Largest' }
</script>

<template>
  <div class="relative" @keydown.esc="open = false">
    <button
      type="button"
      class="min-h-10 min-w-11 font-bold"
      :aria-expanded="open"
      aria-controls="own-look"
      @click="open = !open"
    >
      Aa<span class="sr-only">: how it looks on this device</span>
    </button>
    <div
      v-if="open"
      id="own-look"
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
    </div>
  </div>
</template>
