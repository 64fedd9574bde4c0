<script setup lang="ts">
/** What the list of sessions is narrowed by. */
import type { SessionChoices } from '@/api/types'
import { field, smallField } from '@/ui/recipes'
import { ALL, type Wanted } from './useSessions'
import { t } from './words'
import { t as common } from '@/ui/words'

defineProps<{ choices: SessionChoices | undefined }>()
const wanted = defineModel<Wanted>({ required: true })
const isNarrowed = (one: Wanted): boolean =>
  !!(one.search || one.of_class || one.of_set || one.since || one.until)
</script>

<template>
  <div class="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 text-[15px] text-slate">
    <label class="w-full sm:w-64"
      ><span class="sr-only">{{ t('search_titles_notes_and_classes') }}</span>
      <input
        v-model="wanted.search"
        type="search"
        :class="field"
        :placeholder="t('search_titles_notes_classes')"
      />
    </label>
    <label v-if="choices?.classes.length"
      >{{ t('class') }}
      <select v-model="wanted.of_class" :class="smallField" class="max-w-44">
        <option :value="null">{{ t('any') }}</option>
        <option v-for="one in choices.classes" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
    </label>
    <label v-if="choices?.sets.length"
      >{{ t('set') }}
      <select v-model="wanted.of_set" :class="smallField" class="max-w-44">
        <option :value="null">{{ t('any') }}</option>
        <option v-for="one in choices.sets" :key="one.id" :value="one.id">
          {{ one.name || common('untitled_set') }}
        </option>
      </select>
    </label>
    <label>{{ t('from_2') }} <input v-model="wanted.since" type="date" :class="smallField" /></label>
    <label>{{ t('to_3') }} <input v-model="wanted.until" type="date" :class="smallField" /></label>
    <button
      v-if="isNarrowed(wanted)"
      type="button"
      class="font-bold text-tide hover:underline"
      @click="wanted = { ...ALL, archived: wanted.archived }"
    >
      {{ t('show_all') }}
    </button>
    <button
      v-if="choices?.archived || wanted.archived"
      type="button"
      class="ms-auto font-bold text-tide hover:underline"
      :aria-pressed="wanted.archived"
      @click="wanted = { ...wanted, archived: !wanted.archived }"
    >
      {{ wanted.archived ? t('back_to_the_list') : t('archived_sessions_of', { n: choices?.archived ?? 0 }) }}
    </button>
  </div>
</template>
