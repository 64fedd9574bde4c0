<script setup lang="ts">
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { t } from './words'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const KEYS = [
  [t('space'), t('the_next_sensible_thing')],
  ['C', t('draw_or_lift_the_curtain')],
  ['V', t('let_them_talk_for_two_minutes')],
  ['N', t('ask_something_now_that_was_not')],
  ['R', t('the_result_in_another_form')],
  ['←', t('back_to_the_item_before')],
  ['→', t('skip_to_the_next_item')],
  ['H', t('hide_names_and_answers_or_show')],
  ['?', t('this_list')],
]
</script>

<template>
  <UiDialog :open="open" :title="t('keys_on_the_desk')" @close="emit('close')">
    <dl class="grid grid-cols-[5rem_1fr] gap-y-2">
      <template v-for="[key, what] in KEYS" :key="key">
        <dt>
          <kbd class="rounded border border-edge px-2 font-text">{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="mt-4 text-[15px] text-slate">
      {{ t('they_never_act_while_you_type') }}
    </p>
    <UiButton class="mt-4" @click="emit('close')">{{ t('good') }}</UiButton>
  </UiDialog>
</template>
