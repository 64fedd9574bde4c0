<script setup lang="ts">
/** Another moment at which something is due, by the school's clocks. */
import { ref } from 'vue'
import { momentAt, wallOf } from '@/composables/zoned'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { field } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ due: number | null; zone: string; title: string }>()
const emit = defineEmits<{ choose: [due: number | null]; close: [] }>()
const wall = ref(props.due ? wallOf(props.due, props.zone) : '')
const problem = ref('')

function choose(): void {
  const at = momentAt(wall.value, props.zone)
  if (wall.value && at === null) {
    problem.value = t('choose_a_day_and_an_hour')
    return
  }
  emit('choose', at)
  emit('close')
}
</script>

<template>
  <UiDialog open :title="title" @close="emit('close')">
    <form class="space-y-4" novalidate @submit.prevent="choose">
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('due') }}</span>
        <input v-model="wall" type="datetime-local" :class="field" aria-describedby="due-note" />
      </label>
      <p id="due-note" class="text-[15px]" :class="problem ? 'text-wrong' : 'text-slate'">
        {{ problem || t('by_the_schools_clocks_left_empty', { zone }) }}
      </p>
      <div class="flex flex-wrap gap-3">
        <UiButton look="main" @click="choose">{{ t('change_it') }}</UiButton>
        <UiButton look="quiet" @click="emit('close')">{{ common('leave_it') }}</UiButton>
      </div>
    </form>
  </UiDialog>
</template>
