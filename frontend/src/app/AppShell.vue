<script setup lang="ts">
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { signOut, teacher } from '@/accounts'
import { JobsButton } from '@/aside'
import LanternMark from '@/ui/LanternMark.vue'
import UiToasts from '@/ui/UiToasts.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { menuPanel } from '@/ui/recipes'
import { t } from './words'

const router = useRouter()
const links = computed(() => [
  { to: '/sets', label: t('sets') },
  { to: '/classes', label: t('classes') },
  { to: '/sessions', label: t('sessions') },
  { to: '/work', label: t('set_work') },
])

async function leave(): Promise<void> {
  await signOut()
  await router.push('/sign-in')
}
</script>

<template>
  <a
    href="#main"
    class="sr-only z-50 rounded bg-sheet px-4 py-2 focus:not-sr-only focus:absolute focus:top-2 focus:start-2"
    >{{ t('skip_to_the_page') }}</a
  >
  <header
    v-if="!$route.meta.bare"
    class="on-dark flex h-13 items-center gap-6 bg-hull px-5 text-spray max-sm:gap-3 max-sm:px-3 print:hidden"
  >
    <RouterLink to="/sets" class="figure flex shrink-0 items-center gap-2.5 text-xl text-foam">
      <LanternMark /> <span class="max-sm:sr-only">Tall Lantern</span>
    </RouterLink>
    <nav
      v-if="teacher"
      :aria-label="t('main')"
      class="flex h-full min-w-0 gap-5 overflow-x-auto max-sm:gap-3"
    >
      <RouterLink
        v-for="link in links"
        :key="link.to"
        :to="link.to"
        class="flex h-full items-center border-y-2 border-transparent whitespace-nowrap hover:text-foam"
        :class="$route.path.startsWith(link.to) && 'border-b-lamp text-foam'"
        :aria-current="$route.path.startsWith(link.to) ? 'page' : undefined"
        >{{ link.label }}</RouterLink
      >
    </nav>
    <div v-if="teacher" class="ms-auto flex shrink-0 items-center gap-2 max-sm:gap-0">
      <JobsButton />
      <Menu as="div" class="relative">
        <MenuButton class="max-w-48 truncate rounded px-2 py-1 hover:text-foam max-sm:max-w-24"
          >{{ teacher.name }} <span aria-hidden="true">▾</span></MenuButton
        >
        <MenuItems :class="menuPanel" class="end-0 text-ink">
          <UiMenuAction @act="router.push('/shelf')">{{ t('media_shelf') }}</UiMenuAction>
          <UiMenuAction @act="router.push('/bin')">{{ t('recycle_bin') }}</UiMenuAction>
          <UiMenuAction @act="router.push('/school')">{{ t('your_school') }}</UiMenuAction>
          <UiMenuAction @act="router.push('/account')">{{ t('your_account') }}</UiMenuAction>
          <UiMenuAction @act="leave">{{ t('sign_out') }}</UiMenuAction>
        </MenuItems>
      </Menu>
    </div>
  </header>
  <component :is="$route.meta.isStudents ? 'div' : 'main'" id="main" tabindex="-1" class="outline-none"
    ><RouterView :key="$route.path"
  /></component>
  <UiToasts />
</template>
