<script setup lang="ts">
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import EntryFrame from './EntryFrame.vue'
import { signUp } from './teacher'
import { useForm } from '@/composables/useForm'

const route = useRoute()
const router = useRouter()
/** Came with the link, where one is needed. */
const invitation = String(route.query.invitation ?? '')
const name = ref('')
const email = ref('')
const password = ref('')
const { busy, errors, submit } = useForm()

async function enter(): Promise<void> {
  if (await submit(() => signUp(name.value, email.value, password.value, invitation)))
    await router.push('/sets')
}
</script>

<template>
  <EntryFrame title="Make an account" :error="errors['']" @submit="enter">
    <UiField
      v-model="name"
      label="Your name, as your class knows it"
      autocomplete="name"
      :error="errors.name"
    />
    <UiField
      v-model="email"
      label="E-mail address"
      type="email"
      autocomplete="username"
      :error="errors.email"
    />
    <UiField
      v-model="password"
      label="Password"
      type="password"
      autocomplete="new-password"
      hint="At least eight characters, and none of the common ones."
      :error="errors.password"
    />
    <UiButton type="submit" look="main" :disabled="busy">Make the account</UiButton>
    <p class="text-slate">
      You have one? <RouterLink to="/sign-in" class="font-bold text-tide underline">Sign in</RouterLink>
    </p>
  </EntryFrame>
</template>
