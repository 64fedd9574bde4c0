<script setup lang="ts">
/** The picture collection that ships, searched as one types. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { ref } from 'vue'
import { api, data } from '@/api/http'
import type { Picture } from '@/api/types'
import { field } from '@/ui/recipes'
import { t } from './words'

defineProps<{ busy: boolean }>()
const emit = defineEmits<{ keep: [action: () => Promise<Picture>] }>()

const text = ref('')
const wanted = refDebounced(text, 150)
const found = useQuery({
  queryKey: ['collection', wanted],
  queryFn: () => data(api.GET('/api/media/collection', { params: { query: { q: wanted.value } } })),
  placeholderData: keepPreviousData,
})

const take = (code: string): void =>
  emit('keep', () => data(api.POST('/api/media/collection', { body: { code } })))
</script>

<template>
  <div>
    <label class="block font-bold"
      >{{ t('what_should_it_show') }}
      <input
        v-model="text"
        type="search"
        :class="field"
        class="mt-1 font-normal"
        :placeholder="t('lighthouse_gull_storm')"
      />
    </label>
    <p v-if="wanted && found.data.value && !found.data.value.length" class="mt-3 text-slate" role="status">
      {{ t('the_collection_has_no_picture', { wanted }) }}
    </p>
    <ul class="mt-3 grid max-h-72 grid-cols-4 gap-2 overflow-y-auto sm:grid-cols-6">
      <li v-for="entry in found.data.value" :key="entry.code">
        <button
          type="button"
          class="flex w-full flex-col items-center rounded border border-rule p-1 text-sm leading-tight hover:border-tide"
          :disabled="busy"
          @click="take(entry.code)"
        >
          <img
            :src="`/api/media/collection/${entry.code}.svg`"
            alt=""
            width="72"
            height="72"
            loading="lazy"
          />
          <span class="line-clamp-2 text-center">{{ entry.name }}</span>
        </button>
      </li>
    </ul>
    <p class="mt-3 text-sm text-slate">
      {{ t('pictures_openmoji_cc_by_sa_4') }}
    </p>
  </div>
</template>
