<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { nextTick, ref } from 'vue'
import { api } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import { useToasts } from '@/composables/useToasts'

const props = defineProps<{ id: number; title: string }>()
const client = useQueryClient()
const { show } = useToasts()
const typing = ref<string | null>(null)
const input = ref<HTMLInputElement>()

async function start(): Promise<void> {
  typing.value = props.title
  await nextTick()
  input.value?.select()
}

async function finish(): Promise<void> {
  const title = typing.value
  typing.value = null
  if (title === null || title === props.title) return
  try {
    await api.PATCH('/api/sessions/{session_id}', {
      params: { path: { session_id: props.id } },
      body: { title },
    })
    await client.invalidateQueries({ queryKey: ['report', props.id] })
  } catch (error) {
    show(sentenceOf(error))
  }
}
</script>

<template>
  <input
    v-if="typing !== null"
    ref="input"
    v-model="typing"
    aria-label="Title of the session"
    maxlength="200"
    class="figure rounded border border-edge bg-sheet px-2 text-3xl"
    @keydown.enter="finish"
    @keydown.esc="typing = null"
    @blur="finish"
  />
  <template v-else>
    <h1 class="text-3xl wrap-anywhere">{{ title || 'Untitled set' }}</h1>
    <button type="button" class="pt-2 text-[15px] font-bold text-tide hover:underline" @click="start">
      Rename
    </button>
  </template>
</template>
