<script setup lang="ts">
/** The standing code: it hangs on the door for a year, and leads to whatever is running. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { ref } from 'vue'
import type { ClassDetail } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import CopyButton from '@/ui/CopyButton.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiMenuLink from '@/ui/UiMenuLink.vue'
import { menuPanel } from '@/ui/recipes'
import { papers } from './papers'
import type { OneClass } from './useClass'
import { t } from './words'

const props = defineProps<{ one: OneClass; detail: ClassDetail }>()
const asking = ref(false)

async function renew(): Promise<void> {
  asking.value = false
  await props.one.renewCode()
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4 py-3" aria-labelledby="door-head">
    <h2 id="door-head" class="text-lg">{{ t('standing_code') }}</h2>
    <p class="figure mt-1 text-3xl tracking-wide">{{ spacedCode(detail.code) }}</p>
    <p class="mt-1 text-[15px] text-slate">
      {{ t('hang_it_on_the_door_all') }}
    </p>
    <div class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-[15px]">
      <span>{{ t('link') }} <CopyButton :text="detail.door_url" /></span>
      <Menu as="div" class="relative">
        <MenuButton class="font-bold text-tide underline">{{ t('door_sign') }}</MenuButton>
        <MenuItems :class="menuPanel" class="end-0">
          <UiMenuLink
            v-for="(label, paper) in papers()"
            :key="paper"
            :href="`/api/classes/${detail.id}/door.pdf?paper=${paper}`"
            >{{ t('pdf', { label }) }}</UiMenuLink
          >
        </MenuItems>
      </Menu>
      <button type="button" class="font-bold text-tide underline" @click="asking = true">
        {{ t('renew') }}
      </button>
    </div>
    <UiDialog :open="asking" :title="t('draw_another_standing_code')" @close="asking = false">
      <p>
        {{ t('leads_nowhere_from_then_on_signs', { code: spacedCode(detail.code) }) }}
      </p>
      <div class="mt-5 flex gap-3">
        <UiButton look="main" @click="renew">{{ t('draw_another_one') }}</UiButton>
        <UiButton @click="asking = false">{{ t('keep_this_one') }}</UiButton>
      </div>
    </UiDialog>
  </section>
</template>
