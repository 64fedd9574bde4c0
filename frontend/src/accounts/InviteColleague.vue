<script setup lang="ts">
/** A link makes one account in this school; it is sent where there is an address. */
import { ref } from 'vue'
import type { SignUpRule } from '@/api/types'
import { useForm } from '@/composables/useForm'
import CopyButton from '@/ui/CopyButton.vue'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import { inviteColleague, whoMaySignUp } from './teacher'
import { t } from './words'

defineProps<{ hasOutbox: boolean }>()
const signUp = ref<SignUpRule['sign_up']>('closed')
const email = ref('')
const invitation = ref('')
const sentTo = ref('')
const { busy, errors, submit } = useForm()

void whoMaySignUp().then(
  (who) => (signUp.value = who),
  () => undefined,
)

async function invite(): Promise<void> {
  if (!(await submit(async () => (invitation.value = await inviteColleague(email.value))))) return
  sentTo.value = email.value
  email.value = ''
}
</script>

<template>
  <form v-if="signUp !== 'closed'" class="border-t border-rule px-6 py-4" novalidate @submit.prevent="invite">
    <div class="flex flex-wrap items-start gap-3">
      <UiField
        v-model="email"
        :label="t('invite_a_colleague')"
        type="email"
        :hint="t('with_an_address_the_link_is')"
        class="min-w-64 grow"
        :error="errors.email ?? errors['']"
      />
      <UiButton type="submit" class="mt-7" :disabled="busy">{{
        email ? t('send_a_link') : t('make_a_link')
      }}</UiButton>
    </div>
    <p v-if="invitation" role="status" class="mt-2 text-[15px]">
      {{
        sentTo
          ? hasOutbox
            ? t('for_in_the_outbox', { sent_to: sentTo })
            : t('sent_to', { sent_to: sentTo })
          : t('for_your_colleague')
      }}
      <span class="font-bold break-all">{{ invitation }}</span>
      <CopyButton :text="invitation" class="ms-2" />
    </p>
  </form>
</template>
