<script setup lang="ts">
/** What can be taken out of a session, besides the workbook. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import { button, menuItem, menuPanel } from '@/ui/recipes'

const props = defineProps<{ session: number; counting: string }>()
const files = computed(() => {
  const at = (file: string, more = ''): string =>
    `/api/sessions/${props.session}/${file}?counting=${props.counting}${more}`
  return [
    { href: at('answers.csv'), text: 'All answers (CSV)' },
    { href: at('tables.zip'), text: 'Every table (CSV, for spreadsheets)' },
    { href: at('tables.zip', '&marked=false'), text: 'Every table (CSV, without a byte order mark)' },
    { href: at('tables.json'), text: 'Every table (JSON)' },
  ]
})
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton :class="button('plain')">Take out… <span aria-hidden="true">▾</span></MenuButton>
    <MenuItems :class="menuPanel" class="right-0 w-max max-w-80">
      <MenuItem v-for="file in files" :key="file.href" v-slot="{ active }">
        <a :href="file.href" :class="[menuItem, active && 'bg-tide-wash']" download>{{ file.text }}</a>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
