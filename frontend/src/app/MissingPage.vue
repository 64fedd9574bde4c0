<script setup lang="ts">
import { t } from './words'
</script>

<template>
  <div class="mx-auto max-w-xl px-6 py-16">
    <h1 class="mb-3 text-3xl">{{ t('there_is_no_page_at_this') }}</h1>
    <p>{{ t('it_may_have_moved_or_the') }}</p>
    <p class="mt-4">
      <RouterLink to="/sets" class="font-bold text-tide underline">{{ t('go_to_your_sets') }}</RouterLink>
    </p>
  </div>
</template>
