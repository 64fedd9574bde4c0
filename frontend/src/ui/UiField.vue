<script setup lang="ts">
import { useId } from 'vue'
import { field } from './recipes'

defineProps<{
  label: string
  type?: string
  hint?: string
  /** What is wrong, in a sentence. */
  error?: string | null
  autocomplete?: string
}>()
const text = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div>
    <label :for="id" class="mb-1 block font-bold">{{ label }}</label>
    <input
      :id="id"
      v-model="text"
      :type="type ?? 'text'"
      :autocomplete="autocomplete"
      :aria-invalid="!!error"
      :aria-describedby="error || hint ? `${id}-note` : undefined"
      :class="[field, error && 'border-wrong']"
    />
    <p
      v-if="error || hint"
      :id="`${id}-note`"
      class="mt-1 text-[15px]"
      :class="error ? 'text-wrong' : 'text-slate'"
    >
      {{ error || hint }}
    </p>
  </div>
</template>
