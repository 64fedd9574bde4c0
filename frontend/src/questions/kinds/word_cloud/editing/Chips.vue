<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import { t } from './words'

defineProps<{ item: ItemOf<'word_cloud'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'word_cloud'>] }>()
const COUNTS = [1, 2, 3, 4, 5].map((value) => ({
  value,
  label: value === 1 ? t('one_word') : t('up_to_words', { value }),
}))
</script>

<template>
  <ChipMenu
    :label="t('words')"
    :choices="COUNTS"
    :value="item.most ?? 3"
    @choose="emit('update', { ...item, most: $event })"
  />
</template>
