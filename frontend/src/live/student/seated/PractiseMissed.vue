<script setup lang="ts">
/** A way to practise what was missed, for who may see what was right. */
import { computed } from 'vue'
import type { Mine } from '@/api/types'
import { t } from '../doing/words'
import { usePractise } from './practise'

const props = defineProps<{ mine: Mine | null }>()
const practise = usePractise()
/** Where no score is told it is not told either whether anything was missed. */
const may = computed(() => props.mine?.review && (!props.mine.scored || props.mine.right < props.mine.scored))
</script>

<template>
  <button
    v-if="practise && may"
    type="button"
    class="mt-3 block min-h-11 rounded border border-ink bg-sheet px-4 py-2 font-bold"
    @click="practise()"
  >
    {{ t('practise_missed') }}
  </button>
</template>
