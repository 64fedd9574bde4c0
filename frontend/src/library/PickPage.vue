<script setup lang="ts">
/** Questions out of all one's sets, picked into a new one. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { FoundQuestion, Kind } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import LineText from '@/questions/shared/LineText.vue'
import { editings } from '@/questions/editing'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import { field } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

const router = useRouter()
const { show } = useToasts()
const text = ref('')
const title = ref('')
const wanted = refDebounced(text, 200)
const picked = shallowRef<ReadonlyMap<string, FoundQuestion>>(new Map())
const found = useQuery({
  queryKey: ['questions', wanted],
  queryFn: () => data(api.GET('/api/sets/questions', { params: { query: { q: wanted.value } } })),
  placeholderData: keepPreviousData,
})

const keyOf = (row: FoundQuestion): string => `${row.set}/${row.item}`

function toggle(row: FoundQuestion): void {
  const next = new Map(picked.value)
  if (!next.delete(keyOf(row))) next.set(keyOf(row), row)
  picked.value = next
}

async function make(): Promise<void> {
  const body = {
    title: title.value.trim() || t('picked_questions'),
    picked: [...picked.value.values()].map(({ set, item }) => ({ set, item })),
  }
  try {
    const made = await data(api.POST('/api/sets/pick', { body }))
    await router.push(`/sets/${made.id}`)
  } catch (error) {
    show(sentenceOf(error))
  }
}
</script>

<template>
  <div class="mx-auto max-w-5xl px-6 py-7">
    <h1 class="mb-5 text-3xl">{{ t('pick_questions_into_a_new_set') }}</h1>
    <div class="mb-4 flex flex-wrap items-end gap-4">
      <label class="min-w-60 flex-1"
        >{{ t('search_all_your_questions') }}
        <input v-model="text" type="search" :class="field" :placeholder="t('words_topics_a_sets_title')" />
      </label>
      <label class="min-w-60 flex-1"
        >{{ t('title_of_the_new_set') }}
        <input v-model="title" :class="field" maxlength="200" :placeholder="t('picked_questions')" />
      </label>
      <UiButton look="main" :disabled="!picked.size" @click="make">{{
        picked.size ? t('make_a_set_of_questions', { n: picked.size }) : t('pick_some_questions')
      }}</UiButton>
    </div>
    <p v-if="found.error.value" role="alert" class="text-wrong">{{ sentenceOf(found.error.value) }}</p>
    <EmptyNote v-else-if="found.data.value && !found.data.value.length" :title="t('nothing_found')">
      {{ t('try_fewer_words_only_questions') }}
    </EmptyNote>
    <ul v-else>
      <li v-for="row in found.data.value" :key="keyOf(row)" class="border-b border-rule bg-sheet">
        <label class="flex cursor-pointer items-start gap-3 px-4 py-2.5 hover:bg-tide-wash/50">
          <input
            type="checkbox"
            class="mt-1 size-5 accent-tide"
            :checked="picked.has(keyOf(row))"
            @change="toggle(row)"
          />
          <span class="min-w-0"
            ><LineText
              class="block leading-snug font-bold wrap-anywhere"
              :text="row.title || t('no_words_yet')"
            /><span class="text-[15px] text-slate">{{
              t('question_5', {
                label: editings[row.kind as Kind].label(),
                title: row.set_title || common('untitled_set'),
                number: row.number,
                tags: row.tags.length ? ` · ${row.tags.join(', ')}` : '',
              })
            }}</span></span
          >
        </label>
      </li>
    </ul>
  </div>
</template>
