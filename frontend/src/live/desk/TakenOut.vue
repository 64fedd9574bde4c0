<script setup lang="ts">
/** Who was taken out, and letting them in again. */
import type { DeskView } from '@/api/types'
import { namesShown } from './hiding'
import type { Desk } from './useDesk'

defineProps<{ view: DeskView; desk: Desk }>()
</script>

<template>
  <p v-if="view.taken_out.length" class="border-t border-rule px-4 py-2 text-[15px]">
    Taken out:
    <span v-for="one in view.taken_out" :key="one.seat" class="mr-3 inline-block">
      {{ namesShown ? one.name : `Seat ${one.seat}` }}
      <button type="button" class="font-bold text-tide underline" @click="desk.restore(one.seat)">
        let in again<span class="sr-only">: {{ one.name }}</span>
      </button>
    </span>
  </p>
</template>
