<script setup lang="ts">
import { computed } from 'vue'
import type { GameOf, Planned, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'

const props = defineProps<{ plan?: Planned | null }>()
const game = defineModel<GameOf<'keepers'>>({ required: true })
const settings = defineModel<Settings>('settings', { required: true })

const minutes = computed(() =>
  settings.value.time.of === 'whole' ? Math.round(settings.value.time.whole / 60) : null,
)
const about = computed(() => {
  const answers = minutes.value && props.plan ? (minutes.value * 60) / props.plan.pace : 0
  return answers ? `about ${Math.max(5, Math.round(answers / 5) * 5)} questions for each` : ''
})

function numberIn(event: Event, least: number, most: number): number | null {
  const field = event.target as HTMLInputElement
  const wanted = Math.round(Number(field.value))
  return field.value && Number.isFinite(wanted) ? Math.min(most, Math.max(least, wanted)) : null
}
function setMinutes(event: Event): void {
  const wanted = numberIn(event, 1, 360)
  const time = wanted
    ? { ...settings.value.time, of: 'whole' as const, whole: wanted * 60 }
    : { ...settings.value.time, of: 'none' as const }
  settings.value = { ...settings.value, time }
}
</script>

<template>
  <div class="divide-y divide-rule">
    <fieldset class="space-y-2 py-2">
      <legend class="font-bold">It ends, whichever comes first,</legend>
      <label class="flex flex-wrap items-center gap-2"
        >for all after
        <input
          type="number"
          min="1"
          max="360"
          placeholder="–"
          :class="smallField"
          class="w-20"
          :value="minutes"
          @change="setMinutes"
        />
        minutes <span class="text-slate">{{ about }}</span>
      </label>
      <label class="flex flex-wrap items-center gap-2"
        >for each one after
        <input
          type="number"
          min="3"
          max="500"
          placeholder="–"
          :class="smallField"
          class="w-20"
          :value="game.answers"
          @change="game = { ...game, answers: numberIn($event, 3, 500) }"
        />
        questions
      </label>
      <label class="flex flex-wrap items-center gap-2"
        >for each one with
        <input
          type="number"
          min="50"
          max="20000"
          step="50"
          placeholder="–"
          :class="smallField"
          class="w-24"
          :value="game.oil"
          @change="game = { ...game, oil: numberIn($event, 50, 20000) }"
        />
        oil earned
      </label>
    </fieldset>
    <UiSwitch
      :model-value="game.gusts ?? false"
      label="Gusts"
      hint="Players may put out the flame of the nearest light ahead. Nobody loses oil by it."
      @update:model-value="game = { ...game, gusts: $event }"
    />
  </div>
</template>
