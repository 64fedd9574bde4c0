<script setup lang="ts">
/** When it opens, when it is due, and what becomes of it then; by the school's clocks. */
import { computed } from 'vue'
import type { Terms } from '@/api/types'
import { momentAt, wallOf } from '@/composables/zoned'
import { field } from '@/ui/recipes'

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
        ><span class="mb-1 block font-bold">Opens</span>
        <input v-model.lazy="opens" type="datetime-local" :class="field" />
      </label>
      <label class="block"
        ><span class="mb-1 block font-bold">Due</span>
        <input
          v-model.lazy="due"
          type="datetime-local"
          :class="[field, problem && 'border-wrong']"
          :aria-invalid="!!problem"
        />
      </label>
      <label class="block"
        ><span class="mb-1 block font-bold">After that</span>
        <select v-model="terms.after" :class="field">
          <option value="late">it is taken, and marked late</option>
          <option value="closed">it is closed</option>
        </select>
      </label>
    </div>
    <p v-if="problem" role="alert" class="mt-1 text-wrong">{{ problem }}</p>
    <p v-else class="mt-1 text-[15px] text-slate">
      By the school’s clocks ({{ zone }}). Left empty it is open at once, and due at no time.
    </p>
  </div>
</template>
