<script setup lang="ts">
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import EntryFrame from './EntryFrame.vue'
import { signIn, whoMaySignUp } from './teacher'
import { useForm } from '@/composables/useForm'

const route = useRoute()
const router = useRouter()
const email = ref('')
const password = ref('')
const signUpIsOpen = ref(true)
const { busy, errors, submit } = useForm()

void whoMaySignUp().then(
  (who) => (signUpIsOpen.value = who === 'open'),
  () => undefined,
)

/** Only paths of our own: an address with a host could lead a teacher astray. */
function nextPage(): string {
  const next = String(route.query.next ?? '')
  return /^\/(?!\/)/.test(next) ? next : '/sets'
}

async function enter(): Promise<void> {
  if (await submit(() => signIn(email.value, password.value))) await router.push(nextPage())
}
</script>

<template>
  <EntryFrame title="Sign in" :error="errors['']" @submit="enter">
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
      autocomplete="current-password"
      :error="errors.password"
    />
    <UiButton type="submit" look="main" :disabled="busy">Sign in</UiButton>
    <p class="text-slate">
      <template v-if="signUpIsOpen">
        New here?
        <RouterLink to="/sign-up" class="font-bold text-tide underline">Make an account</RouterLink>.
      </template>
      <template v-else>New here? Whoever runs this server can give you a link to make an account.</template>
      Students need none: they go to <a href="/join" class="font-bold text-tide underline">the join page</a>.
    </p>
  </EntryFrame>
</template>
