<script setup lang="ts">
/** Who teaches this class: colleagues of the same school. */
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { ClassDetail } from '@/api/types'
import { useForm } from '@/composables/useForm'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ detail: ClassDetail; save: (teachers: number[]) => Promise<unknown> }>()
const emit = defineEmits<{ close: [] }>()
const chosen = ref(props.detail.teachers.map((one) => one.id))
const { busy, errors, submit } = useForm()
const { data: school, error } = useQuery({
  queryKey: ['school'],
  queryFn: () => data(api.GET('/api/school')),
})

async function finish(): Promise<void> {
  if (await submit(() => props.save(chosen.value))) emit('close')
}
</script>

<template>
  <UiDialog open :title="t('who_teaches', { name: detail.name })" @close="emit('close')">
    <p class="text-[15px] text-slate">
      {{ t('they_see_its_members_with_needs') }}
    </p>
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <ul class="mt-2">
      <li v-for="one in school?.colleagues" :key="one.id">
        <label class="flex min-h-10 items-center gap-3"
          ><input v-model="chosen" type="checkbox" :value="one.id" class="size-5 accent-tide" />{{
            one.is_me ? t('name_of_yours', { name: one.name }) : one.name
          }}</label
        >
      </li>
    </ul>
    <p v-if="school?.colleagues.length === 1" class="mt-2 text-[15px]">
      {{ t('nobody_else_is_in_your_school') }}
      <RouterLink to="/school" class="font-bold text-tide underline">{{
        t('invite_a_colleague')
      }}</RouterLink>
    </p>
    <p v-if="errors[''] ?? errors.teachers" role="alert" class="mt-2 text-wrong">
      {{ errors[''] ?? errors.teachers }}
    </p>
    <div class="mt-5 flex gap-3">
      <UiButton look="main" :disabled="busy" @click="finish">{{ t('save') }}</UiButton>
      <UiButton @click="emit('close')">{{ common('not_now') }}</UiButton>
    </div>
  </UiDialog>
</template>
