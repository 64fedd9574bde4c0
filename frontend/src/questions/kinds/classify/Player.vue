<script setup lang="ts">
/** Each line with the groups as buttons below it. */
import { computed } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import { choiceCard, chosenCard } from '@/questions/shared/recipes'

const props = defineProps<{
  item: PublicItemOf<'classify'>
  answer: StudentAnswerOf<'classify'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'classify'> | null] }>()

const chosen = computed(() => new Map(props.answer?.placed.map((one) => [one.member, one.group])))

function put(member: string, group: string): void {
  const next = new Map(chosen.value).set(member, group)
  emit('update', { kind: 'classify', placed: [...next].map(([one, into]) => ({ member: one, group: into })) })
}
</script>

<template>
  <div class="space-y-4">
    <fieldset v-for="(member, at) in item.members" :key="member.id" :disabled="disabled">
      <legend
        :data-read="member.id"
        class="prose mb-1.5 text-lg leading-snug font-bold"
        dir="auto"
        v-html="member.html"
      />
      <div class="grid gap-2 sm:grid-cols-2" :class="item.groups.length < 4 && 'grid-cols-2'">
        <label
          v-for="group in item.groups"
          :key="group.id"
          class="flex min-h-12 items-center px-3 py-1.5 leading-tight"
          :class="[choiceCard, chosen.get(member.id) === group.id ? chosenCard : 'border-edge bg-sheet']"
        >
          <input
            type="radio"
            class="sr-only"
            :name="`${item.id}-${member.id}`"
            :checked="chosen.get(member.id) === group.id"
            @change="put(member.id, group.id)"
          />
          <span :data-read="at ? undefined : group.id" class="prose" dir="auto" v-html="group.html" />
        </label>
      </div>
    </fieldset>
  </div>
</template>
