<script setup lang="ts">
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useRouter } from 'vue-router'
import type { ClassDetail } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { menuItem, menuPanel } from '@/ui/recipes'

defineProps<{ detail: ClassDetail }>()
const emit = defineEmits<{ rename: []; copy: []; teachers: []; archive: [] }>()
const router = useRouter()
const SHEETS = ['xlsx', 'ods', 'csv']
</script>

<template>
  <div class="mb-5 flex flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-3xl wrap-anywhere">{{ detail.name }}</h1>
    <span class="grow pt-1.5 text-slate">{{
      [detail.subject, detail.year, detail.archived_at ? 'archived' : ''].filter(Boolean).join(' · ')
    }}</span>
    <UiButton @click="router.push({ path: '/classes/bring-in', query: { into: detail.id } })"
      >Bring a list in…</UiButton
    >
    <Menu as="div" class="relative">
      <MenuButton as="template"
        ><UiButton>More <span aria-hidden="true">▾</span></UiButton></MenuButton
      >
      <MenuItems :class="menuPanel" class="right-0">
        <UiMenuAction @act="emit('rename')">Name, subject, year…</UiMenuAction>
        <UiMenuAction @act="emit('teachers')">Who teaches it…</UiMenuAction>
        <UiMenuAction @act="emit('copy')">Copy into another year…</UiMenuAction>
        <UiMenuAction v-if="!detail.archived_at" @act="emit('archive')">Archive</UiMenuAction>
        <p class="px-3 pt-1.5 text-sm text-slate">Take the list out</p>
        <a
          v-for="suffix in SHEETS"
          :key="suffix"
          :class="menuItem"
          class="hover:bg-tide-wash"
          :href="`/api/classes/${detail.id}/members.${suffix}`"
          download
          >{{ suffix }}</a
        >
      </MenuItems>
    </Menu>
  </div>
</template>
