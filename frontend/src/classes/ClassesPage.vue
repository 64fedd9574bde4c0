<script setup lang="ts">
/** All classes of a teacher. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { sentenceOf } from '@/api/refusal'
import type { ClassForm } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import { counted } from '@/composables/format'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import { menuItem, menuPanel } from '@/ui/recipes'
import ClassFormDialog from './ClassFormDialog.vue'
import { useClasses } from './useClasses'

const router = useRouter()
const { classes, error, isPending, make, archive } = useClasses()
const making = ref(false)
const withArchived = ref(false)
const running = computed(() => classes.value?.filter((row) => !row.archived_at) ?? [])
const archived = computed(() => classes.value?.filter((row) => row.archived_at) ?? [])
const shown = computed(() => [...running.value, ...(withArchived.value ? archived.value : [])])
const cell = 'px-3 py-3 whitespace-nowrap'
const OUT = [
  { version: '1.2', label: 'OneRoster 1.2 (zip)' },
  { version: '1.1', label: 'OneRoster 1.1 (zip)' },
]

async function start(form: ClassForm): Promise<void> {
  const made = await make(form)
  await router.push(`/classes/${made.id}`)
}
</script>

<template>
  <div class="mx-auto max-w-6xl px-6 py-7">
    <div class="mb-5 flex flex-wrap items-center gap-4">
      <h1 class="text-3xl">Classes</h1>
      <span v-if="running.length" class="grow pt-1.5 text-slate">{{
        counted(running.length, 'class', 'classes')
      }}</span>
      <span v-else class="grow" />
      <Menu v-if="running.length" as="div" class="relative">
        <MenuButton as="template"
          ><UiButton>Take out <span aria-hidden="true">▾</span></UiButton></MenuButton
        >
        <MenuItems :class="menuPanel" class="right-0">
          <a
            v-for="one in OUT"
            :key="one.version"
            :class="menuItem"
            class="whitespace-nowrap hover:bg-tide-wash"
            :href="`/api/classes/oneroster.zip?version=${one.version}`"
            download
            >{{ one.label }}</a
          >
        </MenuItems>
      </Menu>
      <UiButton @click="router.push('/classes/bring-in')">Bring in…</UiButton>
      <UiButton look="main" @click="making = true">New class</UiButton>
    </div>
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="text-slate">Fetching your classes…</p>
    <EmptyNote v-else-if="!classes?.length" title="Make your first class">
      <p>
        With a class, students pick their name from a list, one code leads to whatever you run all year, and
        results add up. Without one everything works, too.
      </p>
      <div class="mt-5 flex flex-wrap justify-center gap-3">
        <UiButton look="main" @click="making = true">New class</UiButton>
        <UiButton @click="router.push('/classes/bring-in')">Bring a class list in…</UiButton>
      </div>
    </EmptyNote>
    <table v-else-if="shown.length" class="w-full border-collapse">
      <thead>
        <tr class="border-b border-rule text-left text-sm text-slate">
          <th class="px-4 py-2 font-normal">Class</th>
          <th class="px-3 py-2 font-normal max-sm:hidden">Year</th>
          <th class="px-3 py-2 font-normal whitespace-nowrap">Standing code</th>
          <th class="px-3 py-2 text-right font-normal">Members</th>
          <th class="px-3 py-2 font-normal"><span class="sr-only">State</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in shown" :key="row.id" class="border-b border-rule bg-sheet hover:bg-tide-wash/50">
          <td class="w-full px-4 py-3">
            <RouterLink :to="`/classes/${row.id}`" class="text-lg font-bold wrap-anywhere hover:underline">{{
              row.name
            }}</RouterLink>
            <span v-if="row.subject" class="block text-[15px] text-slate">{{ row.subject }}</span>
          </td>
          <td :class="cell" class="text-slate max-sm:hidden">{{ row.year }}</td>
          <td :class="cell" class="figure">{{ row.archived_at ? '' : spacedCode(row.code) }}</td>
          <td :class="cell" class="text-right tabular-nums">{{ row.members }}</td>
          <td :class="cell" class="text-right text-[15px]">
            <template v-if="row.archived_at">
              <span class="text-slate">archived</span>
              <UiButton look="quiet" size="small" @click="archive(row.id, false)"
                >Bring back<span class="sr-only"> {{ row.name }}</span></UiButton
              >
            </template>
            <b v-else-if="row.waiting">{{ row.waiting }} would like to join</b>
          </td>
        </tr>
      </tbody>
    </table>
    <EmptyNote v-else title="All your classes are archived">
      Start the new year with a copy of one of them, or with a new class.
    </EmptyNote>
    <UiButton v-if="archived.length" look="quiet" class="mt-3" @click="withArchived = !withArchived">{{
      withArchived
        ? 'Hide archived classes'
        : `Show ${counted(archived.length, 'archived class', 'archived classes')}`
    }}</UiButton>
    <ClassFormDialog
      v-if="making"
      title="New class"
      verb="Make the class"
      :save="start"
      @close="making = false"
    />
  </div>
</template>
