<script setup lang="ts" generic="V extends string | number | boolean | null">
/** A setting as a small chip that opens where it stands. */
import { computed } from 'vue'
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { chip, menuPanel } from '@/ui/recipes'

const props = defineProps<{
  /** What is being set, for screen readers. */
  label: string
  choices: readonly { value: V; label: string }[]
  value: V
  /** What the chip says; by default the chosen label. */
  text?: string
}>()
const emit = defineEmits<{ choose: [value: V] }>()

const shown = computed(
  () => props.text ?? props.choices.find((one) => one.value === props.value)?.label ?? '',
)
</script>

<template>
  <Listbox :model-value="value" as="div" class="relative" @update:model-value="emit('choose', $event)">
    <ListboxButton :class="chip"
      ><span class="sr-only">{{ label }}: </span>{{ shown }}</ListboxButton
    >
    <ListboxOptions :class="menuPanel">
      <ListboxOption
        v-for="choice in choices"
        :key="String(choice.value)"
        v-slot="{ active, selected }"
        as="template"
        :value="choice.value"
      >
        <li class="flex cursor-pointer gap-2 px-3 py-1.5" :class="active && 'bg-tide-wash'">
          <span class="w-4" aria-hidden="true">{{ selected ? '✓' : '' }}</span>{{ choice.label }}
        </li>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
