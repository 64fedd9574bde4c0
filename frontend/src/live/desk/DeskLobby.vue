<script setup lang="ts">
/** Before the first question: how to join, and what to do next. */
import type { DeskView, SessionInfo } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import CopyButton from '@/ui/CopyButton.vue'
import { t } from './words'

defineProps<{ view: DeskView; info: SessionInfo | null }>()
</script>

<template>
  <h1 class="mb-4 text-3xl">
    {{
      view.stopped === 'today' ? t('closed_for_today') : view.stopped ? t('paused') : t('the_doors_are_open')
    }}
  </h1>
  <ol class="list-decimal space-y-2 ps-5 text-lg">
    <li>{{ t('open_the_big_screen_and_move') }}</li>
    <li>
      {{ t('students_go_to') }}
      <b class="wrap-anywhere">{{ info?.join_url.replace(/\/[^/]+$/, '') ?? '/join' }}</b> {{ t('and_type') }}
      <b>{{ spacedCode(view.code) }}</b>{{
        info?.class_name ? t('or_the_standing_code_of', { class_name: info.class_name }) : ''
      }}.
    </li>
    <li v-if="view.next === 'ask_now'">
      {{ t('nothing_is_prepared_press') }} <b>{{ t('ask_now') }}</b> {{ t('below_or_space_and_choose') }}
    </li>
    <li v-else-if="view.settings.manner === 'led'">
      {{ t('when_your_class_is_here_press') }} <b>{{ t('start') }}</b> {{ t('below_or_space') }}
    </li>
    <li v-else>
      {{ t('press') }} <b>{{ t('start') }}</b> {{ t('below_or_space_from_then') }}
    </li>
  </ol>
  <p v-if="info" class="mt-5 text-[15px] text-slate">
    {{ t('for_a_message_or_a_chat') }}
    <a :href="info.join_url" class="text-tide underline">{{ info.join_url }}</a>
    <CopyButton :text="info.join_url" class="ms-2" />
  </p>
</template>
