<script setup lang="ts" generic="T extends string">
/** One of a few, side by side. */
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

defineProps<{ label: string; options: readonly { value: T; words: string }[] }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <RadioGroup v-model="chosen">
    <RadioGroupLabel as="p" class="mb-1 block font-bold">{{ label }}</RadioGroupLabel>
    <div :class="options.length > 3 ? 'grid grid-cols-3 sm:flex' : 'flex'">
      <RadioGroupOption
        v-for="one in options"
        :key="one.value"
        v-slot="{ checked }"
        :value="one.value"
        class="-mt-px -ms-px flex-1 cursor-pointer"
      >
        <span
          class="flex min-h-11 items-center justify-center border px-2 text-center text-[15px] leading-tight"
          :class="checked ? 'relative border-ink bg-ink font-bold text-sheet' : 'border-edge bg-sheet'"
          >{{ one.words }}</span
        >
      </RadioGroupOption>
    </div>
  </RadioGroup>
</template>
