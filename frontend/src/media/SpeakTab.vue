<script setup lang="ts">
/** Text spoken by the speech service: language, voice and speed are chosen, it is heard, then kept. */
import { useLocalStorage } from '@vueuse/core'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import type { Recording } from '@/api/types'
import { field } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ busy: boolean; language?: string }>()
const emit = defineEmits<{ keep: [action: () => Promise<Recording>] }>()

const voices = useQuery({ queryKey: ['voices'], queryFn: () => data(api.GET('/api/media/voices')) })
const text = ref('')
const usual = useLocalStorage('lantern.voice', 'en')
const voice = ref(usual.value)
const speed = ref(150)
const heard = ref('')
const wanted = computed(() => ({ text: text.value.trim(), voice: voice.value, speed: speed.value }))

watch(
  () => voices.data.value,
  (found) => {
    const own = found?.find((one) => one.language.split('-')[0] === props.language?.split('-')[0])
    if (own) voice.value = own.id
  },
  { immediate: true },
)
watch(wanted, () => (heard.value = ''))

function listen(): void {
  const query = new URLSearchParams({ ...wanted.value, speed: String(wanted.value.speed) })
  heard.value = `/api/media/speech?${query}`
}

function keep(): void {
  usual.value = voice.value
  emit('keep', () => data(api.POST('/api/media/speech', { body: wanted.value })))
}
</script>

<template>
  <div class="space-y-3">
    <label class="block font-bold"
      >{{ t('text_to_be_spoken') }}
      <textarea v-model="text" rows="3" maxlength="600" dir="auto" :class="field" class="mt-1 font-normal" />
    </label>
    <div class="flex flex-wrap gap-4">
      <label class="block min-w-56 flex-1 font-bold"
        >{{ t('language_and_voice') }}
        <select v-model="voice" :class="field" class="mt-1 font-normal">
          <option v-for="one in voices.data.value" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
      <label class="block font-bold"
        >{{ t('speed_words_a_minute', { speed }) }}
        <input
          v-model.number="speed"
          type="range"
          min="80"
          max="300"
          step="10"
          class="mt-2 block w-48 accent-tide"
        />
      </label>
    </div>
    <audio v-if="heard" :src="heard" controls autoplay class="w-full" :aria-label="t('the_spoken_text')" />
    <div class="flex gap-3">
      <UiButton :disabled="!wanted.text" @click="listen">{{ t('listen') }}</UiButton>
      <UiButton look="main" :disabled="!heard || busy" @click="keep">{{ common('keep_it') }}</UiButton>
    </div>
    <p class="text-sm text-slate">{{ t('spoken_on_this_server') }}</p>
  </div>
</template>
