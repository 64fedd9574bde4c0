<script setup lang="ts">
/** One content, several kinds: what the items can be made into, seen before it is added. The originals stay. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { Item, Kind } from '@/api/types'
import { editings } from '@/questions/editing'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import ItemGlance from '@/questions/ItemGlance.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ items: Item[]; language: string }>()
const emit = defineEmits<{ add: [items: Item[]]; close: [] }>()
const into = ref<Kind | null>(null)
const direction = ref<'forward' | 'back'>('forward')

const body = computed(() => ({
  items: props.items,
  into: into.value,
  direction: direction.value,
  language: props.language,
}))
const found = useQuery({
  queryKey: ['recast', body],
  queryFn: () => data(api.POST('/api/sets/recast', { body: body.value })),
  placeholderData: keepPreviousData,
})
const possible = computed(() => found.data.value?.possible ?? [])
const made = computed(() => (into.value ? ((found.data.value?.items ?? []) as Item[]) : []))
</script>

<template>
  <UiDialog open wide :title="t('make_other_questions_of_these')" @close="emit('close')">
    <p v-if="found.error.value" role="alert" class="text-wrong">{{ sentenceOf(found.error.value) }}</p>
    <p v-else-if="found.data.value && !possible.length" class="text-slate">
      {{ t('nothing_here_can_be_made_into') }}
    </p>
    <template v-else>
      <fieldset class="mb-3">
        <legend class="mb-1 font-bold">{{ t('into') }}</legend>
        <label v-for="one in possible" :key="one.kind" class="me-4 inline-flex min-h-8 items-center gap-2">
          <input v-model="into" type="radio" name="into" :value="one.kind" class="size-4 accent-tide" />
          {{ editings[one.kind as Kind].label() }} <span class="text-slate">({{ one.count }})</span>
        </label>
      </fieldset>
      <fieldset class="mb-3">
        <legend class="mb-1 font-bold">{{ t('asking_for') }}</legend>
        <label class="me-4 inline-flex min-h-8 items-center gap-2"
          ><input
            v-model="direction"
            type="radio"
            name="direction"
            value="forward"
            class="size-4 accent-tide"
          />
          {{ t('the_right_side_of_each_pair') }}</label
        >
        <label class="inline-flex min-h-8 items-center gap-2"
          ><input v-model="direction" type="radio" name="direction" value="back" class="size-4 accent-tide" />
          {{ t('the_left_side') }}</label
        >
      </fieldset>
      <ol
        v-if="made.length"
        class="max-h-72 space-y-2 overflow-y-auto rounded border border-rule p-3"
        tabindex="0"
        :aria-label="t('preview')"
      >
        <li v-for="item in made" :key="item.id"><ItemGlance :item="item" /></li>
      </ol>
    </template>
    <div class="mt-5 flex justify-end gap-3">
      <UiButton @click="emit('close')">{{ common('cancel') }}</UiButton>
      <UiButton look="main" :disabled="!made.length" @click="emit('add', made)">{{
        made.length ? t('add_questions', { n: made.length }) : t('choose_a_kind')
      }}</UiButton>
    </div>
  </UiDialog>
</template>
