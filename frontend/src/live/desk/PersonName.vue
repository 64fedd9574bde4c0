<script setup lang="ts">
/** A name on the desk, with what can be done with who is called so. What a manner adds stands in the slot. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { nextTick, ref } from 'vue'
import { useToasts } from '@/composables/useToasts'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { namesShown } from './hiding'
import type { Desk } from './useDesk'
import { t } from './words'
import { t as common } from '@/ui/words'

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
    show(t('may_go_on_on_another_device', { name: props.person.name }))
}

async function remove(): Promise<void> {
  const { seat, name } = props.person
  if (!(await props.desk.remove(seat))) return
  show(t('is_out_of_the_session', { name }), {
    label: common('undo'),
    run: () => void props.desk.restore(seat),
  })
}
</script>

<template>
  <input
    v-if="renamed !== null"
    ref="input"
    v-model="renamed"
    class="w-full rounded border border-edge px-1"
    maxlength="40"
    :aria-label="common('name')"
    @keydown.enter="finishRenaming"
    @keydown.esc="renamed = null"
    @blur="finishRenaming"
  />
  <Menu v-else as="div" class="relative">
    <MenuButton
      class="block w-full truncate rounded py-1 text-start"
      :class="!person.here && 'text-slate italic'"
    >
      {{ namesShown ? person.name : t('seat', { seat: person.seat }) }}
      <span v-if="!person.here" class="text-xs">{{ t('away') }}</span>
    </MenuButton>
    <MenuItems
      class="absolute start-0 z-20 min-w-40 rounded border border-slate bg-sheet py-1 focus:outline-none"
    >
      <slot />
      <UiMenuAction @act="emit('write')">{{ t('write_to_them') }}</UiMenuAction>
      <UiMenuAction @act="startRenaming">{{ t('rename') }}</UiMenuAction>
      <UiMenuAction @act="desk.liftFog(person.seat, !person.fog_lifted)">{{
        person.fog_lifted ? t('pictures_in_fog_again') : t('pictures_without_fog')
      }}</UiMenuAction>
      <UiMenuAction v-if="person.claim === 'held'" @act="free">{{ t('free_the_name') }}</UiMenuAction>
      <UiMenuAction danger @act="remove">{{ common('remove') }}</UiMenuAction>
      <UiMenuAction danger @act="emit('erase')">{{ t('erase_the_name') }}</UiMenuAction>
    </MenuItems>
  </Menu>
</template>
