<script setup lang="ts">
/** What the mail service that ships was given: it delivers to nobody. */
import { useQuery } from '@tanstack/vue-query'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import { dayAndTime } from '@/composables/format'
import EmptyNote from '@/ui/EmptyNote.vue'
import { t } from './words'

const { data: mails, error } = useQuery({
  queryKey: ['outbox'],
  queryFn: () => data(api.GET('/api/school/outbox')),
})
</script>

<template>
  <div class="mx-auto max-w-3xl px-6 py-7">
    <h1 class="text-3xl">{{ t('outbox') }}</h1>
    <p class="mt-1 mb-5 text-slate">
      {{ t('no_mail_server_is_set_up') }}
    </p>
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <EmptyNote v-else-if="mails && !mails.length" :title="t('nothing_was_sent_yet')">
      {{ t('invitations_to_colleagues_messages_that_conf') }}
    </EmptyNote>
    <ul v-else class="space-y-4">
      <li v-for="(mail, at) in mails" :key="at" class="rounded border border-rule bg-sheet px-5 py-4">
        <p class="text-[15px] text-slate">{{ t('to', { when: dayAndTime(mail.sent_at), to: mail.to }) }}</p>
        <h2 class="text-lg">{{ mail.subject }}</h2>
        <p class="mt-2 whitespace-pre-wrap wrap-anywhere" dir="auto">{{ mail.text }}</p>
        <p v-if="mail.files.length" class="mt-2 flex flex-wrap gap-x-4">
          <a
            v-for="file in mail.files"
            :key="file.id"
            :href="`/api/school/outbox/files/${file.id}`"
            class="font-bold wrap-anywhere text-tide hover:underline"
            download
            >{{ file.name }}</a
          >
        </p>
      </li>
    </ul>
  </div>
</template>
