<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import StrictnessChip from '@/questions/shared/StrictnessChip.vue'

type Text = ItemOf<'text_entry'>
defineProps<{ item: Text }>()
const emit = defineEmits<{ update: [item: Text] }>()

const FORMS = [
  { value: 'text', label: 'A typed text' },
  { value: 'dictation', label: 'Dictation: write what is heard' },
] as const
</script>

<template>
  <ChipMenu
    label="Form"
    :choices="FORMS"
    :value="item.form ?? 'text'"
    :text="item.form === 'dictation' ? 'Dictation' : 'Typed text'"
    @choose="emit('update', { ...item, form: $event as Text['form'] })"
  />
  <StrictnessChip
    v-if="item.scored"
    :strictness="item.strictness ?? {}"
    @update="emit('update', { ...item, strictness: $event })"
  />
</template>
