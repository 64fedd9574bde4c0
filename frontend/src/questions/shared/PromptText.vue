<script setup lang="ts">
/** A question's words, as students and the big screen see them. */
import type { PublicItem } from '@/api/types'
import { language } from '@/words'
import { t } from './words'

defineProps<{ item: PublicItem }>()
</script>

<template>
  <h1 v-if="!item.prompt_html" class="prose" dir="auto" :lang="language">{{ t('asked_aloud') }}</h1>
  <h1
    v-else
    class="prose"
    data-read="prompt"
    dir="auto"
    :lang="item.language || undefined"
    v-html="item.prompt_html"
  />
</template>
