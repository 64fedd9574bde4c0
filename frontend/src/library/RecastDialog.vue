<script setup lang="ts">
/** One content, several kinds: what the items can be made into, seen before it is added. The originals stay. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { Item, Kind } from '@/api/types'
import { counted } from '@/composables/format'
import { registry } from '@/questions/registry'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import ItemGlance from '@/questions/ItemGlance.vue'

const props = defineProps<{ items: Item[] }>()
const emit = defineEmits<{ add: [items: Item[]]; close: [] }>()
const into = ref<Kind | null>(null)
const direction = ref<'forward' | 'back'>('forward')

const body = computed(() => ({ items: props.items, into: into.value, direction: direction.value }))
const found = useQuery({
  queryKey: ['recast', body],
  queryFn: () => data(api.POST('/api/sets/recast', { body: body.value })),
  placeholderData: keepPreviousData,
})
const possible = computed(() => found.data.value?.possible ?? [])
const made = computed(() => (into.value ? ((found.data.value?.items ?? []) as Item[]) : []))
</script>

<template>
  <UiDialog open wide title="Make other questions of these" @close="emit('close')">
    <p v-if="found.error.value" role="alert" class="text-wrong">{{ sentenceOf(found.error.value) }}</p>
    <p v-else-if="found.data.value && !possible.length" class="text-slate">
      Nothing here can be made into another kind. It takes pairs (a question with one right answer, terms and
      definitions) or groups.
    </p>
    <template v-else>
      <fieldset class="mb-3">
        <legend class="mb-1 font-bold">Into</legend>
        <label v-for="one in possible" :key="one.kind" class="mr-4 inline-flex min-h-8 items-center gap-2">
          <input v-model="into" type="radio" name="into" :value="one.kind" class="size-4 accent-tide" />
          {{ registry[one.kind as Kind].label }} <span class="text-slate">({{ one.count }})</span>
        </label>
      </fieldset>
      <fieldset class="mb-3">
        <legend class="mb-1 font-bold">Asking for</legend>
        <label class="mr-4 inline-flex min-h-8 items-center gap-2"
          ><input
            v-model="direction"
            type="radio"
            name="direction"
            value="forward"
            class="size-4 accent-tide"
          />
          the right side of each pair</label
        >
        <label class="inline-flex min-h-8 items-center gap-2"
          ><input v-model="direction" type="radio" name="direction" value="back" class="size-4 accent-tide" />
          the left side</label
        >
      </fieldset>
      <ol
        v-if="made.length"
        class="max-h-72 space-y-2 overflow-y-auto rounded border border-rule p-3"
        tabindex="0"
        aria-label="Preview"
      >
        <li v-for="item in made" :key="item.id"><ItemGlance :item="item" /></li>
      </ol>
    </template>
    <div class="mt-5 flex justify-end gap-3">
      <UiButton @click="emit('close')">Cancel</UiButton>
      <UiButton look="main" :disabled="!made.length" @click="emit('add', made)">{{
        made.length ? `Add ${counted(made.length, 'question')}` : 'Choose a kind'
      }}</UiButton>
    </div>
  </UiDialog>
</template>
