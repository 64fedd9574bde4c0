<script setup lang="ts">
/** What answers that are marked by hand are looked at for: a few lines, each with its points. */
import { ref, watch } from 'vue'
import NumberField from '@/ui/number/NumberField.vue'
import UiButton from '@/ui/UiButton.vue'
import { field } from '@/ui/recipes'
import { t } from './words'

interface Line {
  text: string
  points?: number
}

const props = defineProps<{ rubric: readonly Line[] }>()
const emit = defineEmits<{ update: [rubric: Line[]] }>()
const MOST = 9
/** With lines that have no text yet: those are kept here alone. */
const lines = ref<Line[]>(props.rubric.map((line) => ({ ...line })))
const written = (): Line[] => lines.value.filter((line) => line.text.trim())

watch(
  () => props.rubric,
  (rubric) => {
    if (JSON.stringify(rubric) !== JSON.stringify(written()))
      lines.value = rubric.map((line) => ({ ...line }))
  },
)

function setPoints(line: Line, points: number | null): void {
  if (points === null || points < 1 || points > 10) return
  line.points = Math.round(points)
  emit('update', written())
}

function remove(index: number): void {
  lines.value.splice(index, 1)
  emit('update', written())
}
</script>

<template>
  <div class="space-y-1.5">
    <div v-for="(line, index) in lines" :key="index" class="flex items-center gap-2">
      <input
        v-model="line.text"
        :class="field"
        class="min-w-0 grow"
        maxlength="200"
        :aria-label="t('line_of_the_rubric', { number: index + 1 })"
        :placeholder="t('what_a_good_answer_says')"
        @change="emit('update', written())"
      />
      <label class="flex items-center gap-1 text-sm whitespace-nowrap text-slate"
        ><NumberField
          :model-value="line.points ?? 1"
          class="w-14!"
          @update:model-value="setPoints(line, $event)"
        />
        {{ t('points') }} <span class="sr-only">{{ t('for_line', { number: index + 1 }) }}</span></label
      >
      <button
        type="button"
        class="size-8 rounded text-slate hover:text-ink"
        :aria-label="t('remove_line', { number: index + 1 })"
        @click="remove(index)"
      >
        ×
      </button>
    </div>
    <UiButton
      v-if="lines.length < MOST"
      look="quiet"
      size="small"
      @click="lines.push({ text: '', points: 1 })"
      >{{ t('add_a_line_to_look_for') }}</UiButton
    >
  </div>
</template>
