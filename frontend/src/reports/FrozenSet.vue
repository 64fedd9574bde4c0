<script setup lang="ts">
/** How a session was run: what was chosen, and the set as it was then, whatever became of it since. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { Item, SessionReport } from '@/api/types'
import ItemGlance from '@/questions/ItemGlance.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { howItWasRun } from './howItWasRun'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{
  set: number
  version: number
  settings: SessionReport['settings']
  /** The name of what was played, empty for nothing. */
  game: string
}>()
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
  <UiDialog open wide :title="t('how_it_was_run')" @close="emit('close')">
    <ul class="mb-4 list-disc ps-5">
      <li v-for="line in howItWasRun(settings, game)" :key="line">{{ line }}</li>
    </ul>
    <h3 class="mb-1 text-lg">{{ t('the_set_as_it_was') }}</h3>
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="!old" class="text-slate">{{ t('fetching_the_set') }}</p>
    <ol
      v-else
      class="max-h-[45vh] space-y-2 overflow-y-auto rounded border border-rule p-3"
      tabindex="0"
      :aria-label="t('the_set_as_it_was')"
    >
      <li v-for="item in items" :key="item.id"><ItemGlance :item="item" /></li>
    </ol>
    <div class="mt-5 flex justify-end gap-3">
      <RouterLink :to="`/sets/${set}`" class="self-center font-bold text-tide underline">{{
        t('the_set_as_it_is_now')
      }}</RouterLink>
      <UiButton @click="emit('close')">{{ common('close') }}</UiButton>
    </div>
  </UiDialog>
</template>
