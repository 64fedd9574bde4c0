<script setup lang="ts">
/** Whom a session is for, and how its students are known. */
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { api, data } from '@/api/http'
import { field } from '@/ui/recipes'
import { knownBy, type Known } from '@/composables/known'
import { t } from './words'

const ofClass = defineModel<number | null>('ofClass', { required: true })
const known = defineModel<Known>('known', { required: true })
const { data: all } = useQuery({ queryKey: ['classes'], queryFn: () => data(api.GET('/api/classes')) })
const classes = computed(() => all.value?.filter((row) => !row.archived_at) ?? [])
const empty = computed(() => classes.value.find((row) => row.id === ofClass.value)?.members === 0)

/** The school's own way is offered anew each time: one sets it aside for one session. */
const { data: me } = useQuery({ queryKey: ['me'], queryFn: () => data(api.GET('/api/accounts/me')) })
const schools = computed(() => me.value?.known ?? 'nickname')
watch(schools, (way) => way !== 'nickname' && (known.value = way), { immediate: true })

/** A class that was archived meanwhile is no choice any more; without a class there is no list to pick from. */
watch([all, ofClass, known], () => {
  if (all.value && !classes.value.some((row) => row.id === ofClass.value)) ofClass.value = null
  if (all.value && ofClass.value === null && known.value === 'list') known.value = 'nickname'
})

function choose(event: Event): void {
  const value = (event.target as HTMLSelectElement).value
  ofClass.value = value ? Number(value) : null
  if (value && known.value === 'nickname') known.value = 'list'
}
</script>

<template>
  <div class="space-y-3 py-3">
    <div class="grid gap-3 sm:grid-cols-2">
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('for') }}</span>
        <select :value="ofClass ?? ''" :class="field" @change="choose">
          <option value="">{{ t('whoever_has_the_code') }}</option>
          <option v-for="row in classes" :key="row.id" :value="row.id">
            {{ [row.name, row.subject].filter(Boolean).join(' · ') }}
          </option>
        </select>
      </label>
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('students_are_known_by') }}</span>
        <select v-model="known" :class="field">
          <option
            v-for="(words, one) in knownBy()"
            :key="one"
            :value="one"
            :disabled="one === 'list' && ofClass === null"
          >
            {{ words.label }}
          </option>
        </select>
      </label>
    </div>
    <p class="text-[15px] text-slate">
      {{
        t('once_the_doors_are_open', {
          hint: knownBy()[known].hint,
          yet: known === 'list' && empty ? t('this_class_has_no_members_yet') : '',
          label:
            known !== schools && schools !== 'nickname'
              ? t('your_school_usually_takes', { label: knownBy()[schools].label })
              : '',
        })
      }}
    </p>
  </div>
</template>
