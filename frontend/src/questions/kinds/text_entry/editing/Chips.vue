<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import StrictnessChip from '@/questions/editing/StrictnessChip.vue'
import { t } from './words'

type Text = ItemOf<'text_entry'>
defineProps<{ item: Text }>()
const emit = defineEmits<{ update: [item: Text] }>()

const FORMS = [
  { value: 'text', label: t('a_typed_text') },
  { value: 'dictation', label: t('dictation_write_what_is_heard') },
] as const
</script>

<template>
  <ChipMenu
    :label="t('form')"
    :choices="FORMS"
    :value="item.form ?? 'text'"
    :text="item.form === 'dictation' ? t('dictation') : t('typed_text')"
    @choose="emit('update', { ...item, form: $event as Text['form'] })"
  />
  <StrictnessChip
    v-if="item.scored"
    :strictness="item.strictness ?? {}"
    @update="emit('update', { ...item, strictness: $event })"
  />
</template>
