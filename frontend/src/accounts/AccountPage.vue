<script setup lang="ts">
import { ref } from 'vue'
import type { SignUpRule } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { singleKeysOn } from '@/composables/useKeys'
import CopyButton from '@/ui/CopyButton.vue'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { changePassword, inviteColleague, teacher, whoMaySignUp } from './teacher'
import { useForm } from '@/composables/useForm'

const old = ref('')
const next = ref('')
const { busy, errors, submit } = useForm()
const { show } = useToasts()

const signUp = ref<SignUpRule['sign_up']>('closed')
const invitation = ref('')

void whoMaySignUp().then(
  (who) => (signUp.value = who),
  () => undefined,
)

async function invite(): Promise<void> {
  await submit(async () => (invitation.value = await inviteColleague()))
}

async function change(): Promise<void> {
  if (!(await submit(() => changePassword(old.value, next.value)))) return
  old.value = next.value = ''
  show('Your password is changed. Other devices have been signed out.')
}
</script>

<template>
  <div class="mx-auto max-w-xl space-y-8 px-6 py-8">
    <div>
      <h1 class="text-3xl">Your account</h1>
      <p class="mt-1 text-slate">{{ teacher?.name }} · {{ teacher?.email }}</p>
    </div>
    <form class="space-y-5 rounded border border-rule bg-sheet p-6" novalidate @submit.prevent="change">
      <h2 class="text-xl">Change your password</h2>
      <p v-if="errors['']" role="alert" class="text-wrong">{{ errors[''] }}</p>
      <UiField
        v-model="old"
        label="Present password"
        type="password"
        autocomplete="current-password"
        :error="errors.old"
      />
      <UiField
        v-model="next"
        label="New password"
        type="password"
        autocomplete="new-password"
        :error="errors.new"
      />
      <UiButton type="submit" look="main" :disabled="busy">Change the password</UiButton>
    </form>
    <section v-if="signUp !== 'closed'" class="space-y-3 rounded border border-rule bg-sheet p-6">
      <h2 class="text-xl">A colleague</h2>
      <p class="text-slate">A link makes one account, once, within a week.</p>
      <UiButton v-if="!invitation" @click="invite">Make a link for a colleague</UiButton>
      <p v-else role="status">
        Send this to your colleague:
        <span class="font-bold break-all">{{ invitation }}</span>
        <CopyButton :text="invitation" class="ml-2" />
      </p>
    </section>
    <section class="rounded border border-rule bg-sheet px-6 py-3">
      <UiSwitch
        v-model="singleKeysOn"
        label="Single keys on the desk"
        hint="Space for the next step, C for the curtain, ← and → to go back and skip. Kept on this device."
      />
    </section>
  </div>
</template>
