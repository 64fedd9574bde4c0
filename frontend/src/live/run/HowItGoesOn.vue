<script setup lang="ts">
/** A session that is led: what goes on by itself. */
import type { Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'
import { t } from './words'

const settings = defineModel<Settings>({ required: true })
const SECONDS = 8
</script>

<template>
  <div class="divide-y divide-rule">
    <UiSwitch
      v-model="settings.close_when_all_answered"
      :label="t('close_when_all_have_answered')"
      :hint="t('the_question_closes_at_once_whatever')"
    />
    <div>
      <UiSwitch
        :model-value="settings.goes_on_after !== null"
        :label="t('go_on_by_itself')"
        :hint="t('from_the_close')"
        @update:model-value="settings.goes_on_after = $event ? SECONDS : null"
      />
      <label v-if="settings.goes_on_after !== null" class="flex items-center gap-2 pb-3">
        {{ t('after') }}
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
        {{ t('seconds') }}
      </label>
    </div>
  </div>
</template>
