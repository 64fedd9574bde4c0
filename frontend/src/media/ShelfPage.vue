<script setup lang="ts">
/** Everything that is stored, where it is used, and clearing what is not. */
import { computed } from 'vue'
import { sentenceOf } from '@/told'
import { dateOf } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import { pictureUrl } from '@/media/shown/pictures'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import { useShelf, usesOf } from './useShelf'
import { figure } from '@/words'
import { t } from './words'
import { t as common } from '@/ui/words'

const { shelf, error, clear } = useShelf()
const { show } = useToasts()

const unused = computed(
  () => shelf.value?.filter((row) => !row.used_in.length && !row.in_results).length ?? 0,
)
const total = computed(() => shelf.value?.reduce((sum, row) => sum + row.bytes, 0) ?? 0)
const size = (bytes: number): string =>
  bytes < 1_000_000
    ? t('kb', { size: figure(Math.max(1, Math.round(bytes / 1000))) })
    : t('mb', { size: figure(Math.round(bytes / 100_000) / 10) })

async function clearUnused(): Promise<void> {
  try {
    show(t('files_taken_away_for_good', { n: await clear() }))
  } catch (failure) {
    show(sentenceOf(failure))
  }
}
</script>

<template>
  <div class="mx-auto max-w-6xl px-6 py-7">
    <div class="mb-5 flex flex-wrap items-center gap-4">
      <h1 class="text-3xl">{{ t('media_shelf') }}</h1>
      <span v-if="shelf" class="pt-1.5 text-slate"
        >{{ common('n_files', { n: shelf.length }) }}, {{ size(total) }}</span
      >
      <UiButton class="ms-auto" :disabled="!unused" @click="clearUnused">
        {{ unused ? t('clear_unused_files', { n: unused }) : t('nothing_to_clear') }}
      </UiButton>
    </div>
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="!shelf" class="text-slate">{{ t('fetching_the_shelf') }}</p>
    <EmptyNote v-else-if="!shelf.length" :title="t('nothing_is_stored_yet')">
      {{ t('pictures_sounds_and_videos') }}
    </EmptyNote>
    <table v-else class="w-full border-collapse">
      <thead>
        <tr class="border-b border-rule text-start text-sm text-slate">
          <th class="px-4 py-2 font-normal">
            <span class="sr-only">{{ t('picture') }}</span>
          </th>
          <th class="px-3 py-2 font-normal">{{ common('name') }}</th>
          <th class="px-3 py-2 font-normal">{{ t('used_in') }}</th>
          <th class="hidden px-3 py-2 font-normal sm:table-cell">{{ t('size') }}</th>
          <th class="hidden px-3 py-2 font-normal sm:table-cell">{{ t('stored') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in shelf" :key="row.id" class="border-b border-rule bg-sheet">
          <td class="px-4 py-2">
            <img
              v-if="row.type === 'picture'"
              :src="pictureUrl({ media: row.id }, 480)"
              alt=""
              class="h-12 w-16 object-contain"
              loading="lazy"
            />
            <span v-else class="text-sm text-slate">{{ row.type }}</span>
          </td>
          <td class="px-3 py-2 wrap-anywhere">
            {{ row.name || row.type
            }}<span v-if="row.credit" class="block text-sm text-slate">{{ row.credit }}</span>
          </td>
          <td class="px-3 py-2" :class="!row.used_in.length && 'text-slate'">
            {{ usesOf(row) || (row.in_results ? t('past_sessions_only') : t('nothing')) }}
          </td>
          <td class="hidden px-3 py-2 whitespace-nowrap sm:table-cell">{{ size(row.bytes) }}</td>
          <td class="hidden px-3 py-2 whitespace-nowrap text-slate sm:table-cell">
            {{ dateOf(row.created_at) }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
