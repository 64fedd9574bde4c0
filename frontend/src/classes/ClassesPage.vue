<script setup lang="ts">
/** All classes of a teacher. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { sentenceOf } from '@/told'
import type { ClassForm } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import UiMenuLink from '@/ui/UiMenuLink.vue'
import { menuPanel } from '@/ui/recipes'
import ClassFormDialog from './ClassFormDialog.vue'
import { useClasses } from './useClasses'
import { t } from './words'
import { t as common } from '@/ui/words'

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
      <h1 class="text-3xl">{{ t('classes') }}</h1>
      <span v-if="running.length" class="grow pt-1.5 text-slate">{{
        common('n_classes', { n: running.length })
      }}</span>
      <span v-else class="grow" />
      <Menu v-if="running.length" as="div" class="relative">
        <MenuButton as="template"
          ><UiButton>{{ t('take_out') }} <span aria-hidden="true">▾</span></UiButton></MenuButton
        >
        <MenuItems :class="menuPanel" class="end-0">
          <UiMenuLink
            v-for="one in OUT"
            :key="one.version"
            :href="`/api/classes/oneroster.zip?version=${one.version}`"
            >{{ one.label }}</UiMenuLink
          >
        </MenuItems>
      </Menu>
      <UiButton @click="router.push('/classes/bring-in')">{{ t('bring_in') }}</UiButton>
      <UiButton look="main" @click="making = true">{{ t('new_class') }}</UiButton>
    </div>
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="text-slate">{{ t('fetching_your_classes') }}</p>
    <EmptyNote v-else-if="!classes?.length" :title="t('make_your_first_class')">
      <p>
        {{ t('with_a_class_students_pick_their') }}
      </p>
      <div class="mt-5 flex flex-wrap justify-center gap-3">
        <UiButton look="main" @click="making = true">{{ t('new_class') }}</UiButton>
        <UiButton @click="router.push('/classes/bring-in')">{{ t('bring_a_class_list_in') }}</UiButton>
      </div>
    </EmptyNote>
    <table v-else-if="shown.length" class="w-full border-collapse">
      <thead>
        <tr class="border-b border-rule text-start text-sm text-slate">
          <th class="px-4 py-2 font-normal">{{ t('class') }}</th>
          <th class="px-3 py-2 font-normal max-sm:hidden">{{ t('year') }}</th>
          <th class="px-3 py-2 font-normal whitespace-nowrap">{{ t('standing_code') }}</th>
          <th class="px-3 py-2 text-end font-normal">{{ t('members') }}</th>
          <th class="px-3 py-2 font-normal">
            <span class="sr-only">{{ t('state') }}</span>
          </th>
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
          <td :class="cell" class="text-end tabular-nums">{{ row.members }}</td>
          <td :class="cell" class="text-end text-[15px]">
            <template v-if="row.archived_at">
              <span class="text-slate">{{ t('archived') }}</span>
              <UiButton look="quiet" size="small" @click="archive(row.id, false)"
                >{{ t('bring_back') }}<span class="sr-only"> {{ row.name }}</span></UiButton
              >
            </template>
            <b v-else-if="row.waiting">{{ t('would_like_to_join', { waiting: row.waiting }) }}</b>
          </td>
        </tr>
      </tbody>
    </table>
    <EmptyNote v-else :title="t('all_your_classes_are_archived')">
      {{ t('start_the_new_year') }}
    </EmptyNote>
    <UiButton v-if="archived.length" look="quiet" class="mt-3" @click="withArchived = !withArchived">{{
      withArchived ? t('hide_archived_classes') : t('show_archived_classes', { n: archived.length })
    }}</UiButton>
    <ClassFormDialog
      v-if="making"
      :title="t('new_class')"
      verb="Make the class"
      :save="start"
      @close="making = false"
    />
  </div>
</template>
