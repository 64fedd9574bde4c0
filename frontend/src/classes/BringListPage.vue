<script setup lang="ts">
/** A class list from anywhere: shown beside the class it goes into, decided line by line, and only then kept. */
import { useQueryClient } from '@tanstack/vue-query'
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { counted } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import ColumnUses from '@/ui/ColumnUses.vue'
import FileDrop from '@/ui/FileDrop.vue'
import UiButton from '@/ui/UiButton.vue'
import { field } from '@/ui/recipes'
import ListGroup from './ListGroup.vue'
import { typedNames } from './typedNames'
import { useBringList } from './useBringList'
import { useClasses } from './useClasses'

const USES = {
  '': 'not used',
  name: 'name',
  first: 'first name',
  last: 'last name',
  record_id: 'record ID',
  group: 'group',
  keypads: 'keypads',
  notes: 'notes',
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
  target.value ? `Bring a list into ${target.value.name}` : 'Bring class lists in',
)
const isNamed = computed(() => groups.value.every((group) => group.out || group.found.name.trim()))
const verb = computed(() => {
  const { fresh, changed, leaving, classes: many } = counts.value
  const what = [
    fresh ? `add ${fresh}` : '',
    changed ? `change ${changed}` : '',
    leaving ? `${leaving} leave` : '',
  ].filter(Boolean)
  if (!what.length) return 'Nothing to change'
  const words = what.join(', ')
  const where = many > 1 ? ` in ${many} classes` : ''
  return words[0]!.toUpperCase() + words.slice(1) + where
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
  show('The list is kept.')
  await router.push(kept.length === 1 ? `/classes/${kept[0]!.id}` : '/classes')
}
</script>

<template>
  <div class="mx-auto max-w-5xl px-6 py-7 [&_button]:scroll-mb-24 [&_input]:scroll-mb-24">
    <div class="mb-5 flex flex-wrap items-baseline gap-4">
      <h1 class="text-3xl">{{ title }}</h1>
      <UiButton v-if="found" look="quiet" size="small" @click="incoming.startAnew"
        >Start with something else</UiButton
      >
    </div>
    <p v-if="error" role="alert" class="mb-4 text-wrong">{{ error }}</p>
    <div v-if="!found" class="grid gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <form @submit.prevent="incoming.readText(text)">
        <label class="block"
          ><span class="font-bold">Type or paste names, one a line</span>
          <textarea
            v-model="text"
            rows="12"
            dir="auto"
            spellcheck="false"
            :class="field"
            class="mt-2 leading-snug"
            placeholder="Alva Renner&#10;Tanaka-Lind, Bo&#10;Cyrus Adeyemi"
          />
        </label>
        <p class="mt-1 text-[15px] text-slate">
          Cells copied out of a spreadsheet are read with their columns.
        </p>
        <UiButton look="main" type="submit" class="mt-3" :disabled="busy || !text.trim()">{{
          busy ? 'Reading…' : 'Read it'
        }}</UiButton>
      </form>
      <div>
        <p class="font-bold">Or bring a file</p>
        <FileDrop :busy="busy" reading="Reading it…" @file="incoming.readFile($event)" />
        <dl class="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[15px]">
          <dt class="font-bold">Spreadsheet</dt>
          <dd>xlsx, ods, csv: a row for each member</dd>
          <dt class="font-bold">OneRoster</dt>
          <dd>1.1 and 1.2 (zip of CSV): all classes at once</dd>
          <dt class="font-bold">Text</dt>
          <dd>txt: a name a line</dd>
        </dl>
        <p class="mt-4 text-[15px] text-slate">Nothing is kept before you have seen what it would change.</p>
      </div>
    </div>
    <template v-else>
      <p
        v-for="note in found.notes"
        :key="note.sentence"
        role="status"
        class="mb-2 border-l-4 border-slate bg-sheet px-3 py-1.5 wrap-anywhere"
      >
        {{ note.sentence }}
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
          Settle {{ counted(unsettled.length, 'line') }} first: say who it is, mend it, or leave it out.
        </p>
        <p v-else-if="!isNamed" class="text-[15px] text-slate" role="status">Give the class a name first.</p>
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
