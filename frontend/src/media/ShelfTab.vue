<script setup lang="ts">
/** What this teacher stored before, to use again. */
import { computed } from 'vue'
import type { Media, ShelfRow } from '@/api/types'
import { pictureUrl } from '@/media/shown/pictures'
import { useShelf, usesOf } from './useShelf'
import { t } from './words'

const props = defineProps<{ accepts: readonly string[] }>()
const emit = defineEmits<{ pick: [media: Media] }>()
const { shelf } = useShelf()

const rows = computed(() => shelf.value?.filter((row) => props.accepts.includes(row.type)) ?? [])

function mediaOf(row: ShelfRow): Media {
  if (row.type === 'sound') return { type: 'sound', media: row.id, seconds: row.seconds }
  if (row.type === 'video') return { type: 'video', media: row.id }
  return { type: 'picture', media: row.id, width: row.width, height: row.height, credit: row.credit }
}
</script>

<template>
  <p v-if="!rows.length" class="text-slate">{{ t('nothing_is_stored_yet_2') }}</p>
  <ul v-else class="grid max-h-80 gap-1 overflow-y-auto">
    <li v-for="row in rows" :key="row.id">
      <button
        type="button"
        class="flex w-full items-center gap-3 rounded border border-rule px-2 py-1 text-start hover:border-tide"
        @click="emit('pick', mediaOf(row))"
      >
        <img
          v-if="row.type === 'picture'"
          :src="pictureUrl({ media: row.id }, 480)"
          alt=""
          class="size-12 object-contain"
        />
        <span class="min-w-0 grow"
          ><span class="block truncate">{{ row.name || row.type }}</span
          ><span class="text-sm text-slate">{{ usesOf(row) || t('not_used') }}</span></span
        >
      </button>
    </li>
  </ul>
</template>
