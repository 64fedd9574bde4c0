<script setup lang="ts">
import { t } from './words'
defineProps<{ title: string; forToday: boolean }>()
</script>

<template>
  <div class="flex flex-col justify-center" role="status">
    <p class="text-soft">{{ title || t('untitled_set') }}</p>
    <h1 class="mt-[1vh] text-[3em]">{{ forToday ? t('closed_for_today') : t('paused') }}</h1>
    <p class="mt-[2vh]">
      {{ forToday ? t('another_day') : t('in_a_moment') }}
    </p>
  </div>
</template>
