<script setup lang="ts">
/** A name on the desk, with what can be done with who is called so. What a manner adds stands in the slot. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { nextTick, ref } from 'vue'
import { useToasts } from '@/composables/useToasts'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { namesShown } from './hiding'
import type { Desk } from './useDesk'

interface Somebody {
  seat: number
  name: string
  here: boolean
  fog_lifted: boolean
  claim: string
}

const props = defineProps<{ person: Somebody; desk: Desk }>()
const emit = defineEmits<{ write: []; erase: [] }>()
const { show } = useToasts()
const renamed = ref<string | null>(null)
const input = ref<HTMLInputElement>()

async function startRenaming(): Promise<void> {
  renamed.value = props.person.name
  await nextTick()
  input.value?.select()
}

async function finishRenaming(): Promise<void> {
  const name = renamed.value
  renamed.value = null
  if (name !== null && name !== props.person.name) await props.desk.rename(props.person.seat, name)
}

async function free(): Promise<void> {
  if (await props.desk.release(props.person.seat))
    show(`${props.person.name} may go on on another device: whoever takes the name next has the seat.`)
}

async function remove(): Promise<void> {
  const { seat, name } = props.person
  if (!(await props.desk.remove(seat))) return
  show(`${name} is out of the session.`, { label: 'Undo', run: () => void props.desk.restore(seat) })
}
</script>

<template>
  <input
    v-if="renamed !== null"
    ref="input"
    v-model="renamed"
    class="w-full rounded border border-edge px-1"
    maxlength="40"
    aria-label="Name"
    @keydown.enter="finishRenaming"
    @keydown.esc="renamed = null"
    @blur="finishRenaming"
  />
  <Menu v-else as="div" class="relative">
    <MenuButton
      class="block w-full truncate rounded py-1 text-left"
      :class="!person.here && 'text-slate italic'"
    >
      {{ namesShown ? person.name : `Seat ${person.seat}` }}
      <span v-if="!person.here" class="text-xs">(away)</span>
    </MenuButton>
    <MenuItems
      class="absolute left-0 z-20 min-w-40 rounded border border-slate bg-sheet py-1 focus:outline-none"
    >
      <slot />
      <UiMenuAction @act="emit('write')">Write to them…</UiMenuAction>
      <UiMenuAction @act="startRenaming">Rename</UiMenuAction>
      <UiMenuAction @act="desk.liftFog(person.seat, !person.fog_lifted)">{{
        person.fog_lifted ? 'Pictures in fog again' : 'Pictures without fog'
      }}</UiMenuAction>
      <UiMenuAction v-if="person.claim === 'held'" @act="free">Free the name</UiMenuAction>
      <UiMenuAction danger @act="remove">Remove</UiMenuAction>
      <UiMenuAction danger @act="emit('erase')">Erase the name…</UiMenuAction>
    </MenuItems>
  </Menu>
</template>
