<script setup lang="ts">
import { ref } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { bigField } from '@/questions/shared/recipes'
import { t as common } from '@/questions/shared/words'
import { language } from '@/words'
import { t } from './words'

const props = defineProps<{
  item: PublicItemOf<'text_entry'>
  answer: StudentAnswerOf<'text_entry'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'text_entry'> | null] }>()
const text = ref(props.answer?.text ?? '')

function write(): void {
  emit('update', text.value.trim() ? { kind: 'text_entry', text: text.value } : null)
}
</script>

<template>
  <label class="block font-bold" :for="`text-${item.id}`" :lang="language" dir="auto">{{
    item.dictation ? t('hear') : common('your_answer')
  }}</label>
  <input
    :id="`text-${item.id}`"
    v-model="text"
    type="text"
    dir="auto"
    autocomplete="off"
    autocapitalize="none"
    autocorrect="off"
    spellcheck="false"
    maxlength="300"
    class="mt-1"
    :class="bigField"
    :lang="item.language || undefined"
    :disabled="disabled"
    @input="write"
  />
</template>
