<script setup lang="ts">
/** What part of the results is looked at: a class, a group, a topic. */
import { computed } from 'vue'
import type { SessionReport } from '@/api/types'
import { smallField } from '@/ui/recipes'
import type { ReportView } from './useReportView'
import { t } from './words'

const props = defineProps<{ parts: SessionReport['parts'] }>()
const view = defineModel<ReportView>({ required: true })

const choices = computed(() =>
  (
    [
      { part: 'of_class', label: t('class'), all: t('everybody'), names: props.parts.classes },
      { part: 'group', label: t('group'), all: t('all_groups'), names: props.parts.groups },
      { part: 'topic', label: t('topic'), all: t('all_topics'), names: props.parts.topics },
    ] as const
  ).filter((choice) => choice.names.length || view.value[choice.part]),
)
const isPart = computed(() => choices.value.some((choice) => view.value[choice.part]))

function showAll(): void {
  view.value = { ...view.value, of_class: '', group: '', topic: '' }
}
</script>

<template>
  <p v-if="choices.length" class="flex flex-wrap items-center gap-x-4 gap-y-1 text-[15px] text-slate">
    <label v-for="choice in choices" :key="choice.part"
      >{{ choice.label }}
      <select v-model="view[choice.part]" :class="smallField" class="max-w-52">
        <option value="">{{ choice.all }}</option>
        <option v-for="name in choice.names" :key="name">{{ name }}</option>
      </select>
    </label>
    <button v-if="isPart" type="button" class="font-bold text-tide hover:underline" @click="showAll">
      {{ t('show_everything') }}
    </button>
  </p>
</template>
