<script setup lang="ts">
/** A question's words, as students and the big screen see them. */
import type { PublicItem } from '@/api/types'

defineProps<{ item: PublicItem }>()
</script>

<template>
  <h1
    class="prose"
    data-read="prompt"
    dir="auto"
    :lang="item.language || undefined"
    v-html="item.prompt_html"
  />
</template>
