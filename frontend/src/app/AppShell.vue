<script setup lang="ts">
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useRouter } from 'vue-router'
import { signOut, teacher } from '@/accounts'
import { JobsButton } from '@/aside'
import LanternMark from '@/ui/LanternMark.vue'
import UiToasts from '@/ui/UiToasts.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { menuPanel } from '@/ui/recipes'

const router = useRouter()
const LINKS = [
  { to: '/sets', label: 'Sets' },
  { to: '/classes', label: 'Classes' },
  { to: '/sessions', label: 'Sessions' },
  { to: '/work', label: 'Set work' },
]

async function leave(): Promise<void> {
  await signOut()
  await router.push('/sign-in')
}
</script>

<template>
  <a
    href="#main"
    class="sr-only z-50 rounded bg-sheet px-4 py-2 focus:not-sr-only focus:absolute focus:top-2 focus:left-2"
    >Skip to the page</a
  >
  <header
    v-if="!$route.meta.bare"
    class="on-dark flex h-13 items-center gap-6 bg-hull px-5 text-spray max-sm:gap-3 max-sm:px-3 print:hidden"
  >
    <RouterLink to="/sets" class="figure flex shrink-0 items-center gap-2.5 text-xl text-foam">
      <LanternMark /> <span class="max-sm:sr-only">Tall Lantern</span>
    </RouterLink>
    <nav v-if="teacher" aria-label="Main" class="flex h-full min-w-0 gap-5 overflow-x-auto max-sm:gap-3">
      <RouterLink
        v-for="link in LINKS"
        :key="link.to"
        :to="link.to"
        class="flex h-full items-center border-y-2 border-transparent whitespace-nowrap hover:text-foam"
        :class="$route.path.startsWith(link.to) && 'border-b-lamp text-foam'"
        :aria-current="$route.path.startsWith(link.to) ? 'page' : undefined"
        >{{ link.label }}</RouterLink
      >
    </nav>
    <div v-if="teacher" class="ml-auto flex shrink-0 items-center gap-2 max-sm:gap-0">
      <JobsButton />
      <Menu as="div" class="relative">
        <MenuButton class="max-w-48 truncate rounded px-2 py-1 hover:text-foam max-sm:max-w-24"
          >{{ teacher.name }} <span aria-hidden="true">▾</span></MenuButton
        >
        <MenuItems :class="menuPanel" class="right-0 text-ink">
          <UiMenuAction @act="router.push('/shelf')">Media shelf</UiMenuAction>
          <UiMenuAction @act="router.push('/bin')">Recycle bin</UiMenuAction>
          <UiMenuAction @act="router.push('/school')">Your school</UiMenuAction>
          <UiMenuAction @act="router.push('/account')">Your account</UiMenuAction>
          <UiMenuAction @act="leave">Sign out</UiMenuAction>
        </MenuItems>
      </Menu>
    </div>
  </header>
  <component :is="$route.meta.isStudents ? 'div' : 'main'" id="main" tabindex="-1" class="outline-none"
    ><RouterView :key="$route.path"
  /></component>
  <UiToasts />
</template>
