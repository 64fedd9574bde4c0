<script setup lang="ts">
import { Switch, SwitchDescription, SwitchGroup, SwitchLabel } from '@headlessui/vue'

defineProps<{ label: string; hint?: string }>()
const on = defineModel<boolean>({ required: true })
</script>

<template>
  <SwitchGroup as="div" class="flex items-start gap-4 py-3">
    <div class="grow">
      <SwitchLabel class="block cursor-pointer font-bold">{{ label }}</SwitchLabel>
      <SwitchDescription v-if="hint" class="text-[15px] text-slate">{{ hint }}</SwitchDescription>
    </div>
    <Switch
      v-model="on"
      class="relative mt-0.5 h-7 w-12 shrink-0 rounded border-2 transition-colors"
      :class="on ? 'border-tide bg-tide' : 'border-edge bg-sheet'"
    >
      <span
        aria-hidden="true"
        class="absolute top-0.5 start-0.5 size-5 rounded-sm transition-transform"
        :class="on ? 'translate-x-5 bg-sheet rtl:-translate-x-5' : 'bg-edge'"
      />
    </Switch>
  </SwitchGroup>
</template>
