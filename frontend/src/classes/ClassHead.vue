<script setup lang="ts">
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useRouter } from 'vue-router'
import type { ClassDetail } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import UiMenuLink from '@/ui/UiMenuLink.vue'
import { menuPanel } from '@/ui/recipes'
import { t } from './words'

defineProps<{ detail: ClassDetail }>()
const emit = defineEmits<{ rename: []; copy: []; teachers: []; archive: [] }>()
const router = useRouter()
const SHEETS = ['xlsx', 'ods', 'csv']
</script>

<template>
  <div class="mb-5 flex flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-3xl wrap-anywhere">{{ detail.name }}</h1>
    <span class="grow pt-1.5 text-slate">{{
      [detail.subject, detail.year, detail.archived_at ? t('archived') : ''].filter(Boolean).join(' · ')
    }}</span>
    <UiButton @click="router.push({ path: '/classes/bring-in', query: { into: detail.id } })">{{
      t('bring_a_list_in')
    }}</UiButton>
    <Menu as="div" class="relative">
      <MenuButton as="template"
        ><UiButton>{{ t('more') }} <span aria-hidden="true">▾</span></UiButton></MenuButton
      >
      <MenuItems :class="menuPanel" class="end-0">
        <UiMenuAction @act="emit('rename')">{{ t('name_subject_year') }}</UiMenuAction>
        <UiMenuAction @act="emit('teachers')">{{ t('who_teaches_it') }}</UiMenuAction>
        <UiMenuAction @act="emit('copy')">{{ t('copy_into_another_year') }}</UiMenuAction>
        <UiMenuAction v-if="!detail.archived_at" @act="emit('archive')">{{ t('archive') }}</UiMenuAction>
        <p class="px-3 pt-1.5 text-sm text-slate">{{ t('take_the_list_out') }}</p>
        <UiMenuLink
          v-for="suffix in SHEETS"
          :key="suffix"
          :href="`/api/classes/${detail.id}/members.${suffix}`"
          >{{ suffix }}</UiMenuLink
        >
      </MenuItems>
    </Menu>
  </div>
</template>
