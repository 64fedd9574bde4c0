<script setup lang="ts">
/** A class list from anywhere: shown beside the class it goes into, decided line by line, and only then kept. */
import { useQueryClient } from '@tanstack/vue-query'
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useToasts } from '@/composables/useToasts'
import ColumnUses from '@/ui/ColumnUses.vue'
import FileDrop from '@/ui/FileDrop.vue'
import UiButton from '@/ui/UiButton.vue'
import { field } from '@/ui/recipes'
import ListGroup from './ListGroup.vue'
import { typedNames } from './typedNames'
import { useBringList } from './useBringList'
import { useClasses } from './useClasses'
import { t } from './words'
import { told } from '@/told'

const USES = {
  '': t('not_used'),
  name: 'name',
  first: t('first_name'),
  last: t('last_name'),
  record_id: t('record_id'),
  group: t('the_group'),
  keypads: t('the_keypads'),
  notes: t('the_notes'),
}
const route = useRoute()
const router = useRouter()
const client = useQueryClient()
const { show } = useToasts()
const { classes } = useClasses()
const into = Number(route.query.into) || null
const incoming = useBringList(() => into)
const { found, groups, members, unsettled, counts, busy, error } = incoming
const text = ref('')
const target = computed(() => classes.value?.find((row) => row.id === into))
const title = computed(() =>
  target.value ? t('bring_a_list_into', { name: target.value.name }) : t('bring_class_lists_in'),
)
const isNamed = computed(() => groups.value.every((group) => group.out || group.found.name.trim()))
const verb = computed(() => {
  const { fresh, changed, leaving, classes: many } = counts.value
  const what = [
    fresh ? t('add', { fresh }) : '',
    changed ? t('change', { changed }) : '',
    leaving ? t('leave', { leaving }) : '',
  ].filter(Boolean)
  if (!what.length) return t('nothing_to_change')
  const words = what.join(', ')
  const all = many > 1 ? t('in_classes', { words, many }) : words
  return all[0]!.toUpperCase() + all.slice(1)
})
const isNothing = computed(() => !counts.value.fresh && !counts.value.changed && !counts.value.leaving)

onMounted(() => {
  text.value = typedNames.value
  typedNames.value = ''
  if (text.value) void incoming.readText(text.value)
})

async function keep(): Promise<void> {
  const kept = await incoming.keep()
  if (!kept) return
  await client.invalidateQueries({ queryKey: ['classes'] })
  await client.invalidateQueries({ queryKey: ['class'] })
  show(t('the_list_is_kept'))
  await router.push(kept.length === 1 ? `/classes/${kept[0]!.id}` : '/classes')
}
</script>

<template>
  <div class="mx-auto max-w-5xl px-6 py-7 [&_button]:scroll-mb-24 [&_input]:scroll-mb-24">
    <div class="mb-5 flex flex-wrap items-baseline gap-4">
      <h1 class="text-3xl">{{ title }}</h1>
      <UiButton v-if="found" look="quiet" size="small" @click="incoming.startAnew">{{
        t('start_with_something_else')
      }}</UiButton>
    </div>
    <p v-if="error" role="alert" class="mb-4 text-wrong">{{ error }}</p>
    <div v-if="!found" class="grid gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <form @submit.prevent="incoming.readText(text)">
        <label class="block"
          ><span class="font-bold">{{ t('type_or_paste_names') }}</span>
          <textarea
            v-model="text"
            rows="12"
            dir="auto"
            spellcheck="false"
            :class="field"
            class="mt-2 leading-snug"
            :placeholder="t('three_names')"
          />
        </label>
        <p class="mt-1 text-[15px] text-slate">
          {{ t('cells_copied_out_of_a_spreadsheet') }}
        </p>
        <UiButton look="main" type="submit" class="mt-3" :disabled="busy || !text.trim()">{{
          busy ? t('reading') : t('read_it')
        }}</UiButton>
      </form>
      <div>
        <p class="font-bold">{{ t('or_bring_a_file') }}</p>
        <FileDrop :busy="busy" reading="Reading it…" @file="incoming.readFile($event)" />
        <dl class="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[15px]">
          <dt class="font-bold">{{ t('spreadsheet') }}</dt>
          <dd>{{ t('xlsx_ods_csv_a_row') }}</dd>
          <dt class="font-bold">OneRoster</dt>
          <dd>{{ t('oneroster_versions') }}</dd>
          <dt class="font-bold">{{ t('text') }}</dt>
          <dd>{{ t('txt_a_name_a_line') }}</dd>
        </dl>
        <p class="mt-4 text-[15px] text-slate">{{ t('nothing_is_kept_before') }}</p>
      </div>
    </div>
    <template v-else>
      <p
        v-for="note in found.notes"
        :key="note.sentence"
        role="status"
        class="mb-2 border-s-4 border-slate bg-sheet px-3 py-1.5 wrap-anywhere"
      >
        {{ told(note) }}
      </p>
      <ColumnUses
        v-if="found.columns.length"
        :columns="found.columns"
        :uses="USES"
        :needed="['name', 'first', 'last']"
        @use="incoming.useColumn"
      />
      <div class="space-y-4">
        <ListGroup
          v-for="(_, at) in groups"
          :key="at"
          v-model:group="groups[at]!"
          :members="members"
          :several="groups.length > 1"
        />
      </div>
      <form
        class="bottom-0 mt-6 flex flex-wrap items-center justify-end gap-4 border-t border-slate bg-fog py-4 sm:sticky"
        @submit.prevent="keep"
      >
        <p v-if="unsettled.length" class="text-[15px] text-slate" role="status">
          {{ t('settle_lines_first_say', { n: unsettled.length }) }}
        </p>
        <p v-else-if="!isNamed" class="text-[15px] text-slate" role="status">
          {{ t('give_the_class_a_name_first') }}
        </p>
        <UiButton
          look="main"
          type="submit"
          :disabled="busy || isNothing || !isNamed || unsettled.length > 0"
          >{{ verb }}</UiButton
        >
      </form>
    </template>
  </div>
</template>
