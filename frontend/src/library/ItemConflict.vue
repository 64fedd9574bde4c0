<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import type { Conflict } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

defineProps<{ conflict: Conflict }>()
const emit = defineEmits<{ settle: [keep: 'mine' | 'theirs'] }>()
</script>

<template>
  <div
    role="alert"
    class="mb-2 flex flex-wrap items-center gap-3 rounded border border-lamp-ink bg-lamp-wash px-3 py-2 text-[15px]"
  >
    <p class="grow">
      <template v-if="conflict.theirs">
        <I18nT :keypath="t.path('this_was_changed_in_another_window')" scope="global"
          ><template #text
            ><b>{{ common('quoted', { text: conflict.theirs.prompt ?? '' }) }}</b></template
          ></I18nT
        >
      </template>
      <template v-else>{{ t('this_was_removed_in_another_window') }}</template>
    </p>
    <UiButton size="small" @click="emit('settle', 'mine')">{{ t('keep_mine') }}</UiButton>
    <UiButton size="small" @click="emit('settle', 'theirs')">{{
      conflict.theirs ? t('take_the_other') : t('remove_it_here_too')
    }}</UiButton>
  </div>
</template>
