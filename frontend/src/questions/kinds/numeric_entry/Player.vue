<script setup lang="ts">
import { ref } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'

const props = defineProps<{
  item: PublicItemOf<'numeric_entry'>
  answer: StudentAnswerOf<'numeric_entry'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'numeric_entry'> | null] }>()
const text = ref(props.answer?.text ?? '')

function write(): void {
  emit('update', /\d/.test(text.value) ? { kind: 'numeric_entry', text: text.value } : null)
}
</script>

<template>
  <label class="block font-bold" :for="`number-${item.id}`">Your number</label>
  <div class="mt-1 flex items-center gap-3">
    <input
      :id="`number-${item.id}`"
      v-model="text"
      type="text"
      inputmode="decimal"
      autocomplete="off"
      maxlength="60"
      class="w-full rounded border-2 border-ink bg-sheet px-3 py-3 font-display text-2xl disabled:border-rule"
      :disabled="disabled"
      @input="write"
    />
    <span v-if="item.unit" class="shrink-0 text-xl">{{ item.unit }}</span>
  </div>
</template>
