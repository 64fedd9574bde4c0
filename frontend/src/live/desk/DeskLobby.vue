<script setup lang="ts">
/** Before the first question: how to join, and what to do next. */
import { I18nT } from 'vue-i18n'
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
      <I18nT
        :keypath="info?.class_name ? t.path('students_go_to_or_code') : t.path('students_go_to')"
        scope="global"
      >
        <template #address
          ><b class="wrap-anywhere">{{ info?.join_url.replace(/\/[^/]+$/, '') ?? '/join' }}</b></template
        >
        <template #code
          ><b>{{ spacedCode(view.code) }}</b></template
        >
        <template #class_name>{{ info?.class_name }}</template>
      </I18nT>
    </li>
    <li v-if="view.next === 'ask_now'">
      <I18nT :keypath="t.path('nothing_is_prepared_press')" scope="global"
        ><template #button
          ><b>{{ t('ask_now') }}</b></template
        ></I18nT
      >
    </li>
    <li v-else-if="view.settings.manner === 'led'">
      <I18nT :keypath="t.path('when_your_class_is_here_press')" scope="global"
        ><template #button
          ><b>{{ t('start') }}</b></template
        ></I18nT
      >
    </li>
    <li v-else>
      <I18nT :keypath="t.path('press_and_each_begins')" scope="global"
        ><template #button
          ><b>{{ t('start') }}</b></template
        ></I18nT
      >
    </li>
  </ol>
  <p v-if="info" class="mt-5 text-[15px] text-slate">
    {{ t('for_a_message_or_a_chat') }}
    <a :href="info.join_url" class="text-tide underline">{{ info.join_url }}</a>
    <CopyButton :text="info.join_url" class="ms-2" />
  </p>
</template>
