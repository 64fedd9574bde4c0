<script setup lang="ts">
import LanternMark from '@/ui/LanternMark.vue'
import { t } from './words'

defineProps<{ title: string; error?: string }>()
defineEmits<{ submit: [] }>()
</script>

<template>
  <div class="grid min-h-screen grid-rows-[auto_1fr] md:grid-cols-[minmax(16rem,26rem)_1fr] md:grid-rows-1">
    <div
      class="flex items-end gap-4 bg-hull p-6 text-foam md:flex-col md:items-start md:justify-between md:p-10"
    >
      <LanternMark class="h-10! md:h-40!" />
      <div>
        <p class="figure text-2xl md:text-4xl">Tall Lantern</p>
        <p class="mt-2 hidden max-w-xs text-spray md:block">
          {{ t('write_questions_ask_them_live_and') }}
        </p>
      </div>
    </div>
    <div class="flex items-center px-6 py-10 md:px-16">
      <form class="w-full max-w-md space-y-5" novalidate @submit.prevent="$emit('submit')">
        <h1 class="text-3xl">{{ title }}</h1>
        <p v-if="error" role="alert" class="border-s-4 border-wrong bg-sheet px-3 py-2 text-wrong">
          {{ error }}
        </p>
        <slot />
      </form>
    </div>
  </div>
</template>
