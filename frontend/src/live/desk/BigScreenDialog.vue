<script setup lang="ts">
/** How the big screen of this machine looks and sounds; it follows at once. */
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { LANGUAGES } from '@/words'
import { field } from '@/ui/recipes'
import { chosenLanguage, looks, useLook, useSoundOn, useVolume } from '../screen/bigScreen'
import { t } from './words'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: []; screen: [] }>()
const look = useLook()
const sound = useSoundOn()
const volume = useVolume()
</script>

<template>
  <UiDialog :open="open" :title="t('the_big_screen')" @close="emit('close')">
    <fieldset>
      <legend class="mb-1 font-bold">{{ t('look') }}</legend>
      <div class="grid grid-cols-2 gap-2 sm:grid-cols-3">
        <label
          v-for="(words, one) in looks()"
          :key="one"
          :class="[one, look === one ? 'outline-3 outline-offset-2 outline-tide' : '']"
          class="flex min-h-14 cursor-pointer items-center gap-2 rounded border border-line bg-ground px-3 text-front"
        >
          <input v-model="look" type="radio" name="look" :value="one" class="sr-only" />
          <span class="h-7 w-2.5 bg-light-bar" aria-hidden="true" />{{ words }}
        </label>
      </div>
    </fieldset>
    <label class="mt-3 block"
      ><span class="mb-1 block font-bold">{{ t('screen_language') }}</span>
      <select v-model="chosenLanguage" :class="field">
        <option value="">{{ t('that_of_this_machine') }}</option>
        <option v-for="(name, tag) in LANGUAGES" :key="tag" :value="tag" :lang="tag">{{ name }}</option>
      </select>
    </label>
    <UiSwitch v-model="sound" :label="t('sound')" :hint="t('a_quiet_piece_in_the_lobby')" />
    <label v-if="sound" class="flex items-center gap-3 pb-2"
      >{{ t('volume') }}
      <input v-model.number="volume" type="range" min="0" max="1" step="0.05" class="grow accent-tide" />
    </label>
    <p class="text-[15px] text-slate">{{ t('on_the_big_screen_itself_t') }}</p>
    <div class="mt-4 flex gap-3">
      <UiButton look="main" @click="emit('screen')">{{ t('open_the_big_screen') }}</UiButton>
      <UiButton @click="emit('close')">{{ t('good') }}</UiButton>
    </div>
  </UiDialog>
</template>
