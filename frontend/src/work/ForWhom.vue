<script setup lang="ts">
/** For which classes, or for whoever has the link; for which of their students; and how these are known. */
import { computed } from 'vue'
import { I18nT } from 'vue-i18n'
import { knownBy, type Known } from '@/composables/known'
import { field } from '@/ui/recipes'
import SomeOfClass from './SomeOfClass.vue'
import type { useGiving } from './useGiving'
import { t } from './words'

const props = defineProps<{ giving: ReturnType<typeof useGiving>; problem?: string }>()
const { classes, byLink, named, listed, settings, offer } = props.giving
const absent = computed(() => offer.value?.absent ?? [])
const some = computed(() => listed.value.filter((row) => classes.value.includes(row.id)))
const WAYS: Known[] = ['list', 'nickname', 'made_up', 'record_id', 'nobody']
const known = computed({
  get: () => settings.value!.known,
  set: (value) => (settings.value = { ...settings.value!, known: value }),
})
const all = computed({
  get: () => absent.value.every((one) => named.value.includes(one.key)),
  set: (on) => (named.value = on ? absent.value.map((one) => one.key) : []),
})
</script>

<template>
  <div class="space-y-3">
    <fieldset>
      <legend class="mb-1 font-bold">{{ t('for') }}</legend>
      <p v-if="!listed.length" class="text-[15px] text-slate">
        <I18nT :keypath="t.path('you_teach_no_class_yet')" scope="global"
          ><template #make_one
            ><RouterLink to="/classes" class="font-bold text-tide underline">{{
              t('make_one')
            }}</RouterLink></template
          ></I18nT
        >
      </p>
      <div class="grid gap-x-6 sm:grid-cols-2">
        <label v-for="row in listed" :key="row.id" class="flex min-h-9 items-center gap-2">
          <input v-model="classes" type="checkbox" class="size-4 accent-tide" :value="row.id" />
          {{ [row.name, row.subject].filter(Boolean).join(' · ') }}
          <span class="text-slate">{{ row.members }}</span>
        </label>
        <label class="flex min-h-9 items-center gap-2">
          <input v-model="byLink" type="checkbox" class="size-4 accent-tide" />
          {{ t('whoever_has_the_link_2') }}
        </label>
      </div>
      <p v-if="problem" role="alert" class="mt-1 text-wrong">{{ problem }}</p>
      <p v-else-if="classes.length > 1" class="mt-1 text-[15px] text-slate">
        {{ t('each_class_gets_a_link') }}
      </p>
    </fieldset>
    <fieldset v-if="!absent.length && some.length">
      <legend class="sr-only">{{ t('only_some_of_a_class') }}</legend>
      <SomeOfClass v-for="row in some" :key="row.id" v-model="named" :class-id="row.id" :name="row.name" />
    </fieldset>
    <fieldset v-if="absent.length">
      <legend class="mb-1 font-bold">{{ t('those_who_were_absent') }}</legend>
      <label class="flex min-h-9 items-center gap-2"
        ><input v-model="all" type="checkbox" class="size-4 accent-tide" /> {{ t('all_of_them') }}</label
      >
      <div class="grid gap-x-6 sm:grid-cols-2">
        <label v-for="one in absent" :key="one.key" class="flex min-h-9 items-center gap-2">
          <input v-model="named" type="checkbox" class="size-4 accent-tide" :value="one.key" /> {{ one.name }}
        </label>
      </div>
      <p v-if="!named.length" class="text-[15px] text-slate">{{ t('with_none_ticked') }}</p>
    </fieldset>
    <label class="block"
      ><span class="mb-1 block font-bold">{{ t('students_are_known_by') }}</span>
      <select v-model="known" :class="field">
        <option v-for="one in WAYS" :key="one" :value="one" :disabled="one === 'list' && !classes.length">
          {{ knownBy()[one].label }}
        </option>
      </select>
      <span class="mt-1 block text-[15px] text-slate">{{ knownBy()[known].hint }}</span>
    </label>
  </div>
</template>
