<script setup lang="ts">
/** Somebody leaves the school: what was hers goes to another. */
import { computed, ref } from 'vue'
import type { ColleagueRow } from '@/api/types'
import { useForm } from '@/composables/useForm'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { field } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{
  leaving: ColleagueRow
  colleagues: readonly ColleagueRow[]
  handOver: (leaving: ColleagueRow, to: number) => Promise<void>
}>()
const emit = defineEmits<{ close: [] }>()
const others = computed(() => props.colleagues.filter((one) => one.id !== props.leaving.id))
const to = ref(others.value[0]?.id ?? 0)
const { busy, errors, submit } = useForm()

async function finish(): Promise<void> {
  if (await submit(() => props.handOver(props.leaving, to.value))) emit('close')
}
</script>

<template>
  <UiDialog open :title="t('leaves_the_school', { name: leaving.name })" @close="emit('close')">
    <p>
      {{ t('all_sets_media_classes_and_sessions', { name: leaving.name }) }}
    </p>
    <label class="mt-3 block"
      ><span class="mb-1 block font-bold">{{ t('they_go_to') }}</span>
      <select v-model="to" :class="field">
        <option v-for="one in others" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
    </label>
    <p v-if="errors[''] ?? errors.to" role="alert" class="mt-2 text-wrong">{{ errors[''] ?? errors.to }}</p>
    <div class="mt-5 flex gap-3">
      <UiButton look="danger" :disabled="busy" @click="finish">{{ t('hand_it_all_over') }}</UiButton>
      <UiButton @click="emit('close')">{{ common('not_now') }}</UiButton>
    </div>
  </UiDialog>
</template>
