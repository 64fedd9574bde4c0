<script setup lang="ts">
/** The groups, and the lines with the group each belongs to. */
import { newId } from '@/api/ids'
import type { ItemOf } from '@/api/types'
import LineList from '@/questions/shared/LineList.vue'
import { plainText } from '@/questions/shared/richtext'
import { smallField } from '@/ui/recipes'

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
      label="Group"
      by="letter"
      :fewest="2"
      :most="6"
      :blank="() => ({ id: newId(8), text: '' })"
      class="border-l-4 border-rule pl-2 font-bold"
      @update="set({ groups: $event })"
    />
    <LineList
      :lines="item.members ?? []"
      label="Line"
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
          :aria-label="`Line ${index + 1} belongs to`"
          :value="line.group ?? ''"
          @change="assign(index, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">which group?</option>
          <option v-for="(group, at) in item.groups" :key="group.id" :value="group.id">
            {{ plainText(group.text ?? '') || `Group ${'ABCDEF'[at]}` }}
          </option>
        </select>
      </template>
    </LineList>
  </div>
</template>
