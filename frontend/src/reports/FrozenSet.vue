<script setup lang="ts">
/** The set as it was when the session ran it, whatever became of it since. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { Item } from '@/api/types'
import ItemGlance from '@/questions/ItemGlance.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'

const props = defineProps<{ set: number; version: number }>()
const emit = defineEmits<{ close: [] }>()
const { data: old, error } = useQuery({
  queryKey: ['revision', props.set, props.version],
  queryFn: () =>
    data(
      api.GET('/api/sets/{set_id}/revisions/{version}', {
        params: { path: { set_id: props.set, version: props.version } },
      }),
    ),
})
const items = computed(() => (old.value?.content.items ?? []) as Item[])
</script>

<template>
  <UiDialog open wide title="The set as it was run" @close="emit('close')">
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="!old" class="text-slate">Fetching the set…</p>
    <ol
      v-else
      class="max-h-[60vh] space-y-2 overflow-y-auto rounded border border-rule p-3"
      tabindex="0"
      aria-label="The set as it was run"
    >
      <li v-for="item in items" :key="item.id"><ItemGlance :item="item" /></li>
    </ol>
    <div class="mt-5 flex justify-end gap-3">
      <RouterLink :to="`/sets/${set}`" class="self-center font-bold text-tide underline"
        >The set as it is now</RouterLink
      >
      <UiButton @click="emit('close')">Close</UiButton>
    </div>
  </UiDialog>
</template>
