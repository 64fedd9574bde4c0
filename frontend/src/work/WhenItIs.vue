<script setup lang="ts">
/** When it opens, when it is due, and what becomes of it then; by the school's clocks. */
import { computed } from 'vue'
import type { Terms } from '@/api/types'
import { momentAt, wallOf } from '@/composables/zoned'
import { field } from '@/ui/recipes'
import { t } from './words'

const props = defineProps<{ zone: string; problem?: string }>()
const terms = defineModel<Terms>({ required: true })
const wall = (name: 'opens' | 'due') =>
  computed({
    get: () => (terms.value[name] ? wallOf(terms.value[name]!, props.zone) : ''),
    set: (value: string) => (terms.value = { ...terms.value, [name]: momentAt(value, props.zone) }),
  })
const opens = wall('opens')
const due = wall('due')
</script>

<template>
  <div>
    <div class="grid gap-4 sm:grid-cols-3">
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('opens') }}</span>
        <input v-model.lazy="opens" type="datetime-local" :class="field" />
      </label>
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('due') }}</span>
        <input
          v-model.lazy="due"
          type="datetime-local"
          :class="[field, problem && 'border-wrong']"
          :aria-invalid="!!problem"
        />
      </label>
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('after_that') }}</span>
        <select v-model="terms.after" :class="field">
          <option value="late">{{ t('it_is_taken_and_marked_late') }}</option>
          <option value="closed">{{ t('it_is_closed') }}</option>
        </select>
      </label>
    </div>
    <p v-if="problem" role="alert" class="mt-1 text-wrong">{{ problem }}</p>
    <p v-else class="mt-1 text-[15px] text-slate">
      {{ t('by_the_schools_clocks_left_empty_2', { zone }) }}
    </p>
  </div>
</template>
