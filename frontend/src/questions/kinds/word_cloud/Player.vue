<script setup lang="ts">
import { ref } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { bigField } from '@/questions/shared/recipes'
import { language } from '@/words'
import { t } from './words'

const props = defineProps<{
  item: PublicItemOf<'word_cloud'>
  answer: StudentAnswerOf<'word_cloud'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'word_cloud'> | null] }>()
const words = ref(Array.from({ length: props.item.most }, (_, index) => props.answer?.words[index] ?? ''))

function write(): void {
  const given = words.value.map((word) => word.trim()).filter(Boolean)
  emit('update', given.length ? { kind: 'word_cloud', words: given } : null)
}
</script>

<template>
  <fieldset :disabled="disabled" class="space-y-2.5">
    <legend class="mb-1 font-bold" :lang="language" dir="auto">
      {{ item.most === 1 ? t('your_word') : t('up_to', { most: item.most }) }}
    </legend>
    <input
      v-for="(_, index) in words"
      :key="index"
      v-model="words[index]"
      type="text"
      dir="auto"
      autocomplete="off"
      autocapitalize="none"
      maxlength="40"
      :class="bigField"
      :aria-label="t('word', { number: index + 1 })"
      @input="write"
    />
  </fieldset>
</template>
