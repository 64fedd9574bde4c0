<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import { t } from './words'

defineProps<{ item: ItemOf<'page'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'page'>] }>()
const WAYS = [
  { value: false, label: t('without_how_to_join') },
  { value: true, label: t('with_how_to_join') },
]
</script>

<template>
  <ChipMenu
    :label="t('how_to_join_on_the_big')"
    :choices="WAYS"
    :value="item.joining ?? false"
    @choose="emit('update', { ...item, joining: $event })"
  />
</template>
