<script setup lang="ts">
/** Tags as a line of text, parted by commas; kept when one leaves it. */
import { computed } from 'vue'
import { smallField } from '@/ui/recipes'
import { t } from './words'

const props = defineProps<{ label: string; tags: readonly string[]; wide?: boolean }>()
const emit = defineEmits<{ update: [tags: string[]] }>()
const text = computed(() => props.tags.join(', '))

function keep(event: Event): void {
  const typed = (event.target as HTMLInputElement).value
  const tags = typed
    .split(',')
    .map((tag) => tag.trim().slice(0, 60))
    .filter(Boolean)
  emit('update', [...new Set(tags)].slice(0, 20))
}
</script>

<template>
  <input
    type="text"
    :class="[smallField, wide ? 'w-full' : 'w-44 text-sm']"
    class="font-normal text-ink"
    :aria-label="t('parted_by_commas', { label })"
    :placeholder="t('topics_with_commas')"
    :value="text"
    @change="keep"
    @keydown.enter.prevent="keep"
  />
</template>
