<script setup lang="ts">
import { useToasts } from '@/composables/useToasts'
import { t } from './words'

const { toasts, dismiss } = useToasts()

function act(toast: (typeof toasts.value)[number]): void {
  toast.action?.run()
  dismiss(toast.id)
}
</script>

<template>
  <div
    role="status"
    class="on-dark pointer-events-none fixed inset-x-0 bottom-22 z-50 flex flex-col items-center gap-2 px-4 lg:items-end lg:px-8"
  >
    <div
      v-for="toast in toasts"
      :key="toast.id"
      class="pointer-events-auto flex items-center gap-4 rounded bg-hull px-4 py-2.5 text-foam"
    >
      <span>{{ toast.text }}</span>
      <button
        v-if="toast.action"
        type="button"
        class="font-bold text-beam underline underline-offset-4"
        @click="act(toast)"
      >
        {{ toast.action.label }}
      </button>
      <button type="button" class="px-1 text-spray" :aria-label="t('dismiss')" @click="dismiss(toast.id)">
        ✕
      </button>
    </div>
  </div>
</template>
