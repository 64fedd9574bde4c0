<script setup lang="ts">
/** One class: who is in it, how one comes in, what ran. */
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { sentenceOf } from '@/told'
import type { ClassForm, Member } from '@/api/types'
import ClassDoor from './ClassDoor.vue'
import ClassFormDialog from './ClassFormDialog.vue'
import ClassHead from './ClassHead.vue'
import ClassLink from './ClassLink.vue'
import ClassMembers from './ClassMembers.vue'
import ClassPhrases from './ClassPhrases.vue'
import ClassSessions from './ClassSessions.vue'
import JoinRequests from './JoinRequests.vue'
import MemberDialog from './MemberDialog.vue'
import StudentDialog from './StudentDialog.vue'
import TeachersDialog from './TeachersDialog.vue'
import { useClass } from './useClass'
import { useClasses } from './useClasses'
import { t } from './words'
import { t as common } from '@/ui/words'

const id = Number(useRoute().params.id)
const router = useRouter()
const one = useClass(id)
const { archive } = useClasses()
const { detail, error, queryError } = one
const dialog = ref<'rename' | 'copy' | null>(null)
const choosingTeachers = ref(false)
const looking = ref<Member | null>(null)
const editing = ref<{ member: Member | null } | null>(null)
useTitle(computed(() => common('page_title', { title: detail.value?.name ?? t('class') })))

const start = computed<ClassForm>(() => ({
  name: detail.value?.name ?? '',
  subject: detail.value?.subject ?? '',
  year: dialog.value === 'copy' ? '' : (detail.value?.year ?? ''),
  language: detail.value?.language ?? '',
}))

async function finish(form: ClassForm, withMembers: boolean): Promise<void> {
  if (dialog.value === 'rename') return one.rename(form)
  const made = await one.copy(form, withMembers)
  await router.push(`/classes/${made.id}`)
}

async function putAway(): Promise<void> {
  await archive(id, true)
  await router.push('/classes')
}
</script>

<template>
  <div class="mx-auto max-w-[80rem] px-6 py-6">
    <p v-if="queryError" role="alert" class="text-lg">{{ sentenceOf(queryError) }}</p>
    <p v-else-if="!detail" class="text-slate">{{ t('fetching_the_class') }}</p>
    <template v-else>
      <ClassHead
        :detail="detail"
        @rename="dialog = 'rename'"
        @copy="dialog = 'copy'"
        @teachers="choosingTeachers = true"
        @archive="putAway"
      />
      <p v-if="error" role="alert" class="mb-3 text-wrong">{{ error }}</p>
      <div class="grid grid-cols-[minmax(0,1fr)] items-start gap-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
        <div class="space-y-5">
          <JoinRequests v-if="detail.requests.length" :one="one" :detail="detail" />
          <ClassMembers
            :one="one"
            :detail="detail"
            @edit="editing = { member: $event }"
            @look="looking = $event"
          />
        </div>
        <aside class="space-y-4">
          <ClassDoor :one="one" :detail="detail" />
          <ClassSessions :id="id" />
          <ClassLink :one="one" :detail="detail" />
          <ClassPhrases :one="one" :detail="detail" />
        </aside>
      </div>
      <ClassFormDialog
        v-if="dialog"
        :title="dialog === 'copy' ? t('in_another_year', { name: detail.name }) : t('name_subject_year_2')"
        :verb="dialog === 'copy' ? t('make_the_class') : t('save')"
        :start="start"
        :copies="dialog === 'copy'"
        :save="finish"
        @close="dialog = null"
      />
      <TeachersDialog
        v-if="choosingTeachers"
        :detail="detail"
        :save="one.setTeachers"
        @close="choosingTeachers = false"
      />
      <StudentDialog v-if="looking" :of-class="id" :member="looking" @close="looking = null" />
      <MemberDialog v-if="editing" :member="editing.member" :save="one.save" @close="editing = null" />
    </template>
  </div>
</template>
