<script setup lang="ts">
import { ref } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { bigField } from '@/questions/shared/recipes'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'open_response'>
  answer: StudentAnswerOf<'open_response'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'open_response'> | null] }>()
const text = ref(props.answer?.text ?? '')

function write(): void {
  emit('update', text.value.trim() ? { kind: 'open_response', text: text.value } : null)
}
</script>

<template>
  <label class="block font-bold" :for="`open-${item.id}`" :lang="language" dir="auto">{{
    common('your_answer')
  }}</label>
  <textarea
    :id="`open-${item.id}`"
    v-model="text"
    rows="6"
    dir="auto"
    class="mt-1"
    :class="bigField"
    :maxlength="item.longest"
    :disabled="disabled"
    :aria-describedby="`left-${item.id}`"
    @input="write"
  />
  <p :id="`left-${item.id}`" class="mt-1 text-[15px] text-slate" :lang="language" dir="auto">
    {{ t('characters_left', { left: item.longest - text.length, of: item.longest }) }}
  </p>
</template>
