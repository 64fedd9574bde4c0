<script setup lang="ts">
/** Every kind of question with what it asks for, to add one or to turn into one. */
import { ref } from 'vue'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import type { Kind } from '@/api/types'
import { editings } from '@/questions/editing'
import { button } from '@/ui/recipes'

defineProps<{ label: string; kinds: readonly Kind[]; small?: boolean }>()
const emit = defineEmits<{ choose: [kind: Kind] }>()

/** Opens to the side where there is more room. */
const up = ref(false)
const room = ref('70vh')
function place(event: Event): void {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  up.value = box.top > innerHeight - box.bottom
  room.value = `${Math.round(Math.max(box.top, innerHeight - box.bottom)) - 12}px`
}
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton
      @pointerdown="place"
      @keydown="place"
      :class="small ? 'rounded px-2 py-1 hover:underline' : button('plain')"
      >{{ label }}</MenuButton
    >
    <MenuItems
      :style="{ maxHeight: room }"
      :class="up ? 'bottom-full mb-1' : 'top-full mt-1'"
      class="absolute z-20 w-[22rem] max-w-[90vw] overflow-y-auto rounded border border-slate bg-sheet py-1 text-[15px] font-normal text-ink shadow-sm focus:outline-none"
    >
      <MenuItem v-for="kind in kinds" :key="kind" v-slot="{ active }">
        <button
          type="button"
          class="block w-full px-3 py-1.5 text-start"
          :class="active && 'bg-tide-wash'"
          @click="emit('choose', kind)"
        >
          <b>{{ editings[kind].label() }}</b> <span class="text-slate">{{ editings[kind].hint() }}</span>
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
