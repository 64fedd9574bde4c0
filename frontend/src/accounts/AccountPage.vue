<script setup lang="ts">
import { ref } from 'vue'
import { useToasts } from '@/composables/useToasts'
import { singleKeysOn } from '@/composables/useKeys'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { changePassword, teacher } from './teacher'
import { useForm } from '@/composables/useForm'

const old = ref('')
const next = ref('')
const { busy, errors, submit } = useForm()
const { show } = useToasts()

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
    <section class="rounded border border-rule bg-sheet p-6">
      <h2 class="text-xl">Your school</h2>
      <p class="mt-1">
        {{ teacher?.school || 'It has no name yet.' }}
        <RouterLink to="/school" class="ml-2 font-bold text-tide underline"
          >Colleagues and what the school decides</RouterLink
        >
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
