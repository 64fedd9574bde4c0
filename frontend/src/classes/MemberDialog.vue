<script setup lang="ts">
/** What is kept of a member. */
import { ref } from 'vue'
import type { Member, MemberForm, Needs } from '@/api/types'
import { useForm } from '@/composables/useForm'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiField from '@/ui/UiField.vue'
import { field } from '@/ui/recipes'
import MemberNeeds from './MemberNeeds.vue'
import { NO_NEEDS } from './needs'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{
  member: Member | null
  save: (form: MemberForm, member?: number) => Promise<unknown>
}>()
const emit = defineEmits<{ close: [] }>()

const name = ref(props.member?.name ?? '')
const sortName = ref(props.member?.sort_name ?? '')
const recordId = ref(props.member?.record_id ?? '')
const group = ref(props.member?.group ?? '')
const keypads = ref((props.member?.keypads ?? []).join(' '))
const needs = ref<Needs>(props.member?.needs ?? { ...NO_NEEDS })
const notes = ref(props.member?.notes ?? '')
const { busy, errors, submit } = useForm()

async function finish(): Promise<void> {
  const form = {
    name: name.value,
    sort_name: sortName.value,
    record_id: recordId.value,
    group: group.value,
    keypads: keypads.value.split(/[\s,;]+/).filter(Boolean),
    notes: notes.value,
    needs: needs.value,
  }
  if (await submit(() => props.save(form, props.member?.id))) emit('close')
}
</script>

<template>
  <UiDialog open wide :title="member ? member.name : t('new_member')" @close="emit('close')">
    <form class="space-y-4" novalidate @submit.prevent="finish">
      <p v-if="errors['']" role="alert" class="text-wrong">{{ errors[''] }}</p>
      <div class="grid gap-4 sm:grid-cols-2">
        <UiField
          v-model="name"
          :label="common('name')"
          :hint="t('how_the_class_sees_it')"
          :error="errors.name"
        />
        <UiField
          v-model="sortName"
          :label="t('sorted_as_2')"
          :hint="t('leave_it_empty')"
          :error="errors.sort_name"
        />
      </div>
      <div class="grid gap-4 sm:grid-cols-2">
        <UiField
          v-model="recordId"
          :label="t('record_id_2')"
          :hint="t('e_mail_or_the_schools_own')"
          :error="errors.record_id"
        />
        <div class="grid grid-cols-2 gap-4">
          <UiField
            v-model="group"
            :label="t('group')"
            :hint="t('a_table_a_watch_games')"
            :error="errors.group"
          />
          <UiField v-model="keypads" :label="t('keypad_numbers')" :error="errors.keypads" />
        </div>
      </div>
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('notes') }}</span>
        <textarea v-model="notes" rows="2" maxlength="2000" :class="field" />
        <span class="text-[15px] text-slate">{{ t('for_the_teachers_of_this_class') }}</span>
      </label>
      <MemberNeeds v-model="needs" />
      <div class="flex gap-3 pt-1">
        <UiButton type="submit" look="main" :disabled="busy">{{ member ? t('save') : t('add_2') }}</UiButton>
        <UiButton @click="emit('close')">{{ common('not_now') }}</UiButton>
      </div>
    </form>
  </UiDialog>
</template>
