<script setup lang="ts">
/** Some students of a class, in place of all of it. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { t } from './words'

const props = defineProps<{ classId: number; name: string }>()
const named = defineModel<string[]>({ required: true })
const isOpen = ref(false)
const { data: found } = useQuery({
  queryKey: ['work', 'students', props.classId],
  queryFn: () =>
    data(api.GET('/api/work/students/{class_id}', { params: { path: { class_id: props.classId } } })),
  enabled: isOpen,
})
const chosen = computed(() => found.value?.filter((one) => named.value.includes(one.key)).length ?? 0)
</script>

<template>
  <details @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary class="min-h-9 cursor-pointer py-1.5 text-[15px]">
      {{ chosen ? t('students_of', { n: chosen, name }) : t('all_of_or_only_some', { name }) }}
    </summary>
    <p v-if="!found" class="text-[15px] text-slate" role="status">{{ t('looking_who_is_in_it') }}</p>
    <div v-else class="grid max-h-72 gap-x-6 overflow-y-auto pb-2 sm:grid-cols-2">
      <label v-for="one in found" :key="one.key" class="flex min-h-9 items-center gap-2 wrap-anywhere">
        <input v-model="named" type="checkbox" class="size-4 accent-tide" :value="one.key" /> {{ one.name }}
      </label>
    </div>
  </details>
</template>
