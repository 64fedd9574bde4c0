<script setup lang="ts">
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import EntryFrame from './EntryFrame.vue'
import { signUp } from './teacher'
import { useForm } from '@/composables/useForm'
import { t } from './words'

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
  <EntryFrame :title="t('make_an_account')" :error="errors['']" @submit="enter">
    <UiField
      v-model="name"
      :label="t('your_name_as_your_class_knows')"
      autocomplete="name"
      :error="errors.name"
    />
    <UiField
      v-model="email"
      :label="t('e_mail_address')"
      type="email"
      autocomplete="username"
      :error="errors.email"
    />
    <UiField
      v-model="password"
      :label="t('password')"
      type="password"
      autocomplete="new-password"
      :hint="t('at_least_eight_characters_and_none')"
      :error="errors.password"
    />
    <UiButton type="submit" look="main" :disabled="busy">{{ t('make_the_account') }}</UiButton>
    <p class="text-slate">
      {{ t('you_have_one') }}
      <RouterLink to="/sign-in" class="font-bold text-tide underline">{{ t('sign_in') }}</RouterLink>
    </p>
  </EntryFrame>
</template>
