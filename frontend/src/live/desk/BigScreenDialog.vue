<script setup lang="ts">
/** How the big screen of this machine looks and sounds; it follows at once. */
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { LOOKS, useLook, useSoundOn, useVolume } from '../screen/bigScreen'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: []; screen: [] }>()
const look = useLook()
const sound = useSoundOn()
const volume = useVolume()
</script>

<template>
  <UiDialog :open="open" title="The big screen" @close="emit('close')">
    <fieldset>
      <legend class="mb-1 font-bold">Look</legend>
      <div class="grid grid-cols-2 gap-2 sm:grid-cols-3">
        <label
          v-for="(words, one) in LOOKS"
          :key="one"
          :class="[one, look === one ? 'outline-3 outline-offset-2 outline-tide' : '']"
          class="flex min-h-14 cursor-pointer items-center gap-2 rounded border border-line bg-ground px-3 text-front"
        >
          <input v-model="look" type="radio" name="look" :value="one" class="sr-only" />
          <span class="h-7 w-2.5 bg-light-bar" aria-hidden="true" />{{ words }}
        </label>
      </div>
    </fieldset>
    <UiSwitch
      v-model="sound"
      label="Sound"
      hint="A quiet piece in the lobby, a tick for the last five seconds, a chord for the result. Never on phones."
    />
    <label v-if="sound" class="flex items-center gap-3 pb-2"
      >Volume
      <input v-model.number="volume" type="range" min="0" max="1" step="0.05" class="grow accent-tide" />
    </label>
    <p class="text-[15px] text-slate">On the big screen itself: T the next look, S sound, F full screen.</p>
    <div class="mt-4 flex gap-3">
      <UiButton look="main" @click="emit('screen')">Open the big screen</UiButton>
      <UiButton @click="emit('close')">Good</UiButton>
    </div>
  </UiDialog>
</template>
