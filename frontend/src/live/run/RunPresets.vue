<script setup lang="ts">
/** Settings that a teacher keeps under a name: taken, kept, forgotten. */
import { ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { PresetInfo, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ settings: Settings }>()
const presets = defineModel<PresetInfo[]>('presets', { required: true })
const emit = defineEmits<{ take: [settings: Settings] }>()
const taken = ref<number | null>(null)
const name = ref<string | null>(null)
const failure = ref('')

function take(event: Event): void {
  taken.value = Number((event.target as HTMLSelectElement).value) || null
  const found = presets.value.find((one) => one.id === taken.value)
  if (found) emit('take', found.settings as Settings)
}

async function keep(): Promise<void> {
  const called = name.value?.trim()
  if (!called) return
  failure.value = ''
  try {
    const kept = await data(
      api.PUT('/api/live/presets', { body: { name: called, settings: props.settings } }),
    )
    const others = presets.value.filter((one) => one.id !== kept.id)
    presets.value = [...others, kept].sort((one, other) => one.name.localeCompare(other.name))
    taken.value = kept.id
    name.value = null
  } catch (error) {
    failure.value = sentenceOf(error)
  }
}

async function forget(): Promise<void> {
  const preset = presets.value.find((one) => one.id === taken.value)
  if (!preset) return
  await api.DELETE('/api/live/presets/{preset_id}', { params: { path: { preset_id: preset.id } } })
  presets.value = presets.value.filter((one) => one.id !== preset.id)
  taken.value = null
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-2 py-3">
    <label v-if="presets.length" class="flex items-center gap-2"
      ><span class="font-bold">{{ t('your_own') }}</span>
      <select :class="smallField" :value="taken ?? ''" @change="take">
        <option value="">{{ t('choose') }}</option>
        <option v-for="one in presets" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
    </label>
    <UiButton v-if="taken" look="quiet" size="small" @click="forget">{{ t('forget_it') }}</UiButton>
    <UiButton v-if="name === null" look="quiet" size="small" @click="name = ''">{{
      t('keep_these_settings_under_a_name')
    }}</UiButton>
    <form v-else class="flex items-center gap-2" @submit.prevent="keep">
      <input
        v-model="name"
        :class="smallField"
        maxlength="60"
        :aria-label="t('name_for_these_settings')"
        :placeholder="t('friday_test')"
        autofocus
      />
      <UiButton size="small" type="submit" :disabled="!name.trim()">{{ t('keep') }}</UiButton>
      <UiButton look="quiet" size="small" @click="name = null">{{ common('not_now') }}</UiButton>
    </form>
    <p v-if="failure" role="alert" class="text-wrong">{{ failure }}</p>
  </div>
</template>
