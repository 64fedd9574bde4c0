<script setup lang="ts">
/** What a school's rule takes away at once: seen before it is decided. */
import { I18nT } from 'vue-i18n'
import type { WouldGo } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ goes: WouldGo }>()
const emit = defineEmits<{ decide: []; close: [] }>()
const parts = [
  { what: props.goes.names, words: t.path('names_are_erased_in') },
  { what: props.goes.whole, words: t.path('for_good_with_all_that_was') },
].filter((part) => part.what.sessions)
</script>

<template>
  <UiDialog open :title="t('something_goes_at_once')" @close="emit('close')">
    <p class="text-slate">
      {{ t('it_is_older_than_what_you') }}
    </p>
    <div v-for="part in parts" :key="part.words" class="mt-3">
      <p>
        <I18nT :keypath="part.words" :plural="part.what.students" scope="global"
          ><template #sessions
            ><b>{{ common('n_sessions', { n: part.what.sessions }) }}</b></template
          ></I18nT
        >
      </p>
      <ul class="list-inside list-disc text-[15px]">
        <li v-for="(title, at) in part.what.first" :key="at" class="wrap-anywhere">
          {{ title || common('untitled_set') }}
        </li>
        <li v-if="part.what.sessions > part.what.first.length" class="list-none text-slate">
          {{ t('and_more', { n: part.what.sessions - part.what.first.length }) }}
        </li>
      </ul>
    </div>
    <div class="mt-5 flex gap-3">
      <UiButton look="danger" @click="emit('decide')">{{ t('decide_it_so') }}</UiButton>
      <UiButton @click="emit('close')">{{ common('leave_it') }}</UiButton>
    </div>
  </UiDialog>
</template>
