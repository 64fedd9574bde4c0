<script setup lang="ts">
import type { PublicItemOf } from '@/api/types'

// A page has no result: it is shown as it is.
defineProps<{ item: PublicItemOf<'page'> }>()
</script>

<template>
  <div class="prose text-[1.05em]" dir="auto" v-html="item.body_html" />
</template>
