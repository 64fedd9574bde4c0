<script setup lang="ts">
/** Who was taken out, and letting them in again. */
import type { DeskView } from '@/api/types'
import { namesShown } from './hiding'
import type { Desk } from './useDesk'
import { t } from './words'

defineProps<{ view: DeskView; desk: Desk }>()
</script>

<template>
  <p v-if="view.taken_out.length" class="border-t border-rule px-4 py-2 text-[15px]">
    {{ t('taken_out') }}
    <span v-for="one in view.taken_out" :key="one.seat" class="me-3 inline-block">
      {{ namesShown ? one.name : t('seat', { seat: one.seat }) }}
      <button type="button" class="font-bold text-tide underline" @click="desk.restore(one.seat)">
        {{ t('let_in_again') }}<span class="sr-only">: {{ one.name }}</span>
      </button>
    </span>
  </p>
</template>
