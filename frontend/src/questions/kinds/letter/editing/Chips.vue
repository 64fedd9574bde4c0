<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import { ALL } from '../letters'
import { t } from './words'

defineProps<{ item: ItemOf<'letter'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'letter'>] }>()
const COUNTS = ALL.slice(1).map((last, at) => ({ value: at + 2, label: t('a_to', { last }) }))
</script>

<template>
  <ChipMenu
    :label="t('letters')"
    :choices="COUNTS"
    :value="item.letters ?? 4"
    @choose="emit('update', { ...item, letters: $event })"
  />
</template>
