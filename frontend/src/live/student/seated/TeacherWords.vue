<script setup lang="ts">
/** What the teacher wrote to this student, or to everybody, until it has been read. */
import { computed, ref, watch } from 'vue'
import type { Told } from '@/api/types'
import { keepRead, keptRead } from '../seat'
import { t } from './words'

const props = defineProps<{ words: (Told | null | undefined)[]; token: string }>()
const read = ref(keptRead(props.token))
const unread = computed(() => props.words.filter((one): one is Told => !!one && one.number > read.value))
const box = ref<HTMLElement | null>(null)
/** New ones come into sight, wherever one has scrolled to. */
watch(
  () => unread.value.at(-1)?.number,
  (number) => number && box.value?.scrollIntoView?.({ block: 'nearest' }),
  { flush: 'post' },
)

function done(): void {
  read.value = Math.max(read.value, ...unread.value.map((one) => one.number))
  keepRead(props.token, read.value)
}
</script>

<template>
  <div ref="box" role="status" aria-live="polite">
    <div v-if="unread.length" class="mb-4 border-s-6 border-lamp bg-sheet px-3 py-2">
      <b>{{ t('from_teacher') }}</b>
      <p v-for="one in unread" :key="one.number" class="wrap-anywhere whitespace-pre-line" dir="auto">
        {{ one.text }}
      </p>
      <button type="button" class="min-h-11 font-bold text-tide" @click="done">{{ t('read_it') }}</button>
    </div>
  </div>
</template>
