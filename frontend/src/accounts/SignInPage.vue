<script setup lang="ts">
import { ref } from 'vue'
import { I18nT } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import EntryFrame from './EntryFrame.vue'
import { signIn, whoMaySignUp } from './teacher'
import { useForm } from '@/composables/useForm'
import { t } from './words'

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
  <EntryFrame :title="t('sign_in')" :error="errors['']" @submit="enter">
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
      autocomplete="current-password"
      :error="errors.password"
    />
    <UiButton type="submit" look="main" :disabled="busy">{{ t('sign_in') }}</UiButton>
    <p class="text-slate">
      <template v-if="signUpIsOpen">
        {{ t('new_here') }}
        <RouterLink to="/sign-up" class="font-bold text-tide underline">{{
          t('make_an_account')
        }}</RouterLink>.
      </template>
      <template v-else>{{ t('new_here_whoever_runs_this_server') }}</template>
      <I18nT :keypath="t.path('students_need_none_they_go_to')" scope="global"
        ><template #page
          ><a href="/join" class="font-bold text-tide underline">{{ t('the_join_page') }}</a></template
        ></I18nT
      >
    </p>
  </EntryFrame>
</template>
