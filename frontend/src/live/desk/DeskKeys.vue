<script setup lang="ts">
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const KEYS = [
  ['Space', 'The next sensible thing'],
  ['C', 'Draw or lift the curtain'],
  ['V', 'Let them talk for two minutes, then vote again; while they talk: vote now'],
  ['N', 'Ask something now that was not prepared'],
  ['R', 'The result in another form'],
  ['←', 'Back to the item before'],
  ['→', 'Skip to the next item'],
  ['H', 'Hide names and answers, or show them'],
  ['?', 'This list'],
]
</script>

<template>
  <UiDialog :open="open" title="Keys on the desk" @close="emit('close')">
    <dl class="grid grid-cols-[5rem_1fr] gap-y-2">
      <template v-for="[key, what] in KEYS" :key="key">
        <dt>
          <kbd class="rounded border border-edge px-2 font-text">{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="mt-4 text-[15px] text-slate">
      They never act while you type, and can be turned off under “Your account”.
    </p>
    <UiButton class="mt-4" @click="emit('close')">Good</UiButton>
  </UiDialog>
</template>
