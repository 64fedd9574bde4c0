<script setup lang="ts">
/** Words that were counted as one, each to be counted by itself with one press. */
import { t } from './words'
defineProps<{ groups: readonly { text: string; merged: readonly string[] }[]; undo: boolean }>()
const emit = defineEmits<{ part: [text: string]; undo: [] }>()
</script>

<template>
  <div v-if="groups.length || undo" class="mt-3 text-[15px]">
    <ul v-if="groups.length" :aria-label="t('words_that_were_counted')">
      <li v-for="group in groups" :key="group.text" class="flex flex-wrap items-baseline gap-x-2">
        <span class="text-slate">{{ t('count_by_itself') }}</span>
        <button
          v-for="word in group.merged"
          :key="word"
          type="button"
          dir="auto"
          class="min-h-7 rounded border border-edge bg-sheet px-2 text-tide hover:border-tide"
          :title="t('count_by_itself_2', { word })"
          @click="emit('part', word)"
        >
          {{ word }} <span aria-hidden="true">↗</span
          ><span class="sr-only">{{ t('count_it_by_itself') }}</span>
        </button>
      </li>
    </ul>
    <button
      v-if="undo"
      type="button"
      class="min-h-7 font-bold text-tide hover:underline"
      @click="emit('undo')"
    >
      {{ t('merge_again_what_was_parted_last') }}
    </button>
  </div>
</template>
