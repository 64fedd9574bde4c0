<script setup lang="ts">
/** Folders, one inside another; the chosen one can be renamed, moved, taken away. */
import { computed, nextTick, ref } from 'vue'
import { smallField } from '@/ui/recipes'
import { inside, useFolders } from './useFolders'
import { t } from './words'

const chosen = defineModel<number | null>({ required: true })
const { branches, folders, make, rename, move, remove } = useFolders()
const naming = ref<'new' | 'rename' | null>(null)
const name = ref('')
const input = ref<HTMLInputElement>()

const current = computed(() => branches.value.find((branch) => branch.id === chosen.value) ?? null)
const places = computed(() => {
  const own = current.value ? inside(folders.value ?? [], current.value.id) : new Set<number>()
  return branches.value.filter((branch) => !own.has(branch.id))
})

async function ask(what: 'new' | 'rename'): Promise<void> {
  naming.value = what
  name.value = what === 'rename' ? (current.value?.name ?? '') : ''
  await nextTick()
  input.value?.focus()
}

async function finish(): Promise<void> {
  const what = naming.value
  naming.value = null
  if (!name.value.trim() || !what) return
  if (what === 'rename' && current.value) await rename(current.value, name.value.trim())
  else {
    const made = await make(name.value.trim(), chosen.value)
    if (made) chosen.value = made.id
  }
}

async function takeAway(): Promise<void> {
  if (!current.value) return
  const { id, parent } = current.value
  await remove(id)
  chosen.value = parent
}

const row = (on: boolean): string =>
  `block w-full truncate rounded py-1 pe-2 text-start ${on ? 'bg-tide-wash font-bold' : 'hover:bg-sheet'}`
</script>

<template>
  <nav :aria-label="t('folders')" class="text-[15px]">
    <ul>
      <li>
        <button
          type="button"
          :class="row(chosen === null)"
          class="ps-2"
          :aria-current="chosen === null || undefined"
          @click="chosen = null"
        >
          {{ t('all_sets') }}
        </button>
      </li>
      <li v-for="branch in branches" :key="branch.id">
        <button
          type="button"
          :class="row(chosen === branch.id)"
          :style="{ paddingLeft: `${0.5 + (branch.depth + 1) * 0.9}rem` }"
          :aria-current="chosen === branch.id || undefined"
          @click="chosen = branch.id"
        >
          {{ branch.name }}
        </button>
      </li>
    </ul>
    <form v-if="naming" class="mt-2" @submit.prevent="finish">
      <input
        ref="input"
        v-model="name"
        :class="smallField"
        class="w-full"
        maxlength="100"
        :aria-label="naming === 'new' ? t('name_of_the_new_folder') : t('new_name')"
        :placeholder="t('name_of_the_folder')"
        @keydown.esc="naming = null"
        @blur="finish"
      />
    </form>
    <div v-else class="mt-2 flex flex-wrap gap-x-3 gap-y-1 ps-2 text-sm font-bold text-tide">
      <button type="button" class="min-h-6" @click="ask('new')">{{ t('folder') }}</button>
      <template v-if="current">
        <button type="button" class="min-h-6" @click="ask('rename')">{{ t('rename_folder') }}</button>
        <button type="button" class="min-h-6" @click="takeAway">{{ t('remove_folder') }}</button>
        <label class="w-full font-normal text-ink"
          >{{ t('lies_in') }}
          <select
            class="max-w-32"
            :class="smallField"
            :value="current.parent ?? ''"
            @change="move(current, Number(($event.target as HTMLSelectElement).value) || null)"
          >
            <option value="">{{ t('the_top') }}</option>
            <option v-for="place in places" :key="place.id" :value="place.id">{{ place.path }}</option>
          </select>
        </label>
      </template>
    </div>
  </nav>
</template>
