<script setup lang="ts">
/** Earlier versions of the set: looked at, and brought back. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { Item } from '@/api/types'
import { dateOf, hourOf } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import ItemGlance from '@/questions/ItemGlance.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ set: number }>()
const emit = defineEmits<{ close: []; broughtBack: [] }>()
const { show } = useToasts()
const chosen = ref<number | null>(null)

const path = { set_id: props.set }
const rows = useQuery({
  queryKey: ['revisions', props.set],
  queryFn: () => data(api.GET('/api/sets/{set_id}/revisions', { params: { path } })),
  staleTime: 0,
})
const old = useQuery({
  queryKey: ['revision', props.set, chosen],
  queryFn: () =>
    data(
      api.GET('/api/sets/{set_id}/revisions/{version}', {
        params: { path: { ...path, version: chosen.value! } },
      }),
    ),
  enabled: computed(() => chosen.value !== null),
})
const items = computed(() => (old.data.value?.content.items ?? []) as Item[])
const time = (iso: string): string => `${dateOf(iso)}, ${hourOf(Date.parse(iso))}`

async function bringBack(): Promise<void> {
  try {
    const params = { path: { ...path, version: chosen.value! } }
    await data(api.POST('/api/sets/{set_id}/revisions/{version}/bring-back', { params }))
    show(t('the_earlier_version_is_back_how'))
    emit('broughtBack')
    emit('close')
  } catch (error) {
    show(sentenceOf(error))
  }
}
</script>

<template>
  <UiDialog open :title="t('earlier_versions')" @close="emit('close')">
    <p v-if="rows.error.value" role="alert" class="text-wrong">{{ sentenceOf(rows.error.value) }}</p>
    <p v-else-if="rows.data.value && !rows.data.value.length" class="text-slate">
      {{ t('none_yet_one_is_kept_about') }}
    </p>
    <ul v-else class="max-h-48 overflow-y-auto rounded border border-rule">
      <li v-for="row in rows.data.value" :key="row.version" class="border-b border-rule last:border-0">
        <button
          type="button"
          class="flex w-full gap-4 px-3 py-2 text-start"
          :class="chosen === row.version ? 'bg-tide-wash' : 'hover:bg-fog'"
          :aria-pressed="chosen === row.version"
          @click="chosen = row.version"
        >
          <span class="grow">{{ time(row.created_at) }}</span>
          <span class="text-slate">{{ common('n_items', { n: row.questions }) }}</span>
        </button>
      </li>
    </ul>
    <div v-if="old.data.value" class="mt-3">
      <h3 class="mb-2 text-lg">{{ old.data.value.content.title || common('untitled_set') }}</h3>
      <ol
        class="max-h-72 space-y-2 overflow-y-auto rounded border border-rule p-3"
        tabindex="0"
        :aria-label="t('the_earlier_version')"
      >
        <li v-for="item in items" :key="item.id"><ItemGlance :item="item" /></li>
      </ol>
    </div>
    <div class="mt-5 flex justify-end gap-3">
      <UiButton @click="emit('close')">{{ common('close') }}</UiButton>
      <UiButton look="main" :disabled="chosen === null" @click="bringBack">{{ t('bring_it_back') }}</UiButton>
    </div>
  </UiDialog>
</template>
