<script setup lang="ts">
/** The groups, and the lines with the group each belongs to. */
import { newId } from '@/api/ids'
import type { ItemOf } from '@/api/types'
import LineList from '@/questions/editing/LineList.vue'
import { plainText } from '@/questions/shared/richtext'
import { smallField } from '@/ui/recipes'
import { t } from './words'

type Classify = ItemOf<'classify'>
type Member = NonNullable<Classify['members']>[number]
const props = defineProps<{ item: Classify }>()
const emit = defineEmits<{ update: [item: Classify] }>()

const set = (change: Partial<Classify>): void => emit('update', { ...props.item, ...change })
const blankMember = (): Member => ({
  id: newId(8),
  text: '',
  group: props.item.members?.at(-1)?.group ?? props.item.groups?.[0]?.id ?? null,
})

function assign(index: number, group: string): void {
  set({
    members: (props.item.members ?? []).map((one, at) =>
      at === index ? { ...one, group: group || null } : one,
    ),
  })
}
</script>

<template>
  <div>
    <LineList
      :lines="item.groups ?? []"
      :label="t('group')"
      by="letter"
      :fewest="2"
      :most="6"
      :blank="() => ({ id: newId(8), text: '' })"
      class="border-s-4 border-rule ps-2 font-bold"
      @update="set({ groups: $event })"
    />
    <LineList
      :lines="item.members ?? []"
      :label="t('line')"
      :fewest="2"
      :most="20"
      :blank="blankMember"
      class="mt-2"
      @update="set({ members: $event })"
    >
      <template #after="{ line, index }">
        <select
          v-if="item.scored"
          class="mt-0.5 max-w-44"
          :class="smallField"
          :aria-label="t('line_belongs_to', { number: index + 1 })"
          :value="line.group ?? ''"
          @change="assign(index, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">{{ t('which_group') }}</option>
          <option v-for="(group, at) in item.groups" :key="group.id" :value="group.id">
            {{ plainText(group.text ?? '') || t('group_2', { letter: 'ABCDEF'.charAt(at) }) }}
          </option>
        </select>
      </template>
    </LineList>
  </div>
</template>
