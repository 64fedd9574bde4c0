<script setup lang="ts">
import type { PublicItemOf } from '@/api/types'

defineProps<{ item: PublicItemOf<'page'> }>()
</script>

<template>
  <div data-read="body" class="prose text-[1.05em]" dir="auto" v-html="item.body_html" />
</template>
