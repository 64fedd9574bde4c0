<script setup lang="ts">
/** A session that is led: what goes on by itself. */
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'

const settings = defineModel<Settings>({ required: true })
const SECONDS = 8
</script>

<template>
  <div class="divide-y divide-rule">
    <UiSwitch
      v-model="settings.close_when_all_answered"
      label="Close when all have answered"
      hint="The question closes at once, whatever time is left."
    />
    <div>
      <UiSwitch
        :model-value="settings.goes_on_after !== null"
        label="Go on by itself"
        hint="From the close to what was right, to the standings, to the next question. You can be quicker, and the end is yours."
        @update:model-value="settings.goes_on_after = $event ? SECONDS : null"
      />
      <label v-if="settings.goes_on_after !== null" class="flex items-center gap-2 pb-3">
        after
        <input
          type="number"
          min="3"
          max="120"
          :class="smallField"
          class="w-20"
          :value="settings.goes_on_after"
          @change="
            settings.goes_on_after = Math.min(
              120,
              Math.max(3, Math.round(Number(($event.target as HTMLInputElement).value)) || SECONDS),
            )
          "
        />
        seconds
      </label>
    </div>
  </div>
</template>
