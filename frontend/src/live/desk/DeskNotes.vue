<script setup lang="ts">
/** What students wrote: read, answered, done. */
import { ref } from 'vue'
import type { DeskView } from '@/api/types'
import { timeOfDay } from '@/composables/format'
import { smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { namesShown } from './hiding'
import type { Desk } from './useDesk'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ open: boolean; view: DeskView; desk: Desk }>()
const emit = defineEmits<{ close: [] }>()
const replies = ref<Record<number, string>>({})

/** To who asked, or to everybody: what one asks others often wonder, too. */
async function reply(note: DeskView['notes'][number], seat: number | null): Promise<void> {
  const text = replies.value[note.id]?.trim()
  if (text && (await props.desk.write(text, seat))) await props.desk.noteDone(note.id)
}
</script>

<template>
  <UiDialog :open="open" wide :title="t('notes_from_students')" @close="emit('close')">
    <p v-if="!view.notes.length" class="text-slate">{{ t('there_is_no_note_just_now') }}</p>
    <ul class="max-h-[60vh] divide-y divide-rule overflow-y-auto">
      <li v-for="note in view.notes" :key="note.id" class="py-3">
        <p class="text-[15px] text-slate">
          {{ namesShown ? note.name : t('seat', { seat: note.seat }) }} · {{ timeOfDay(note.at).slice(0, 5) }}
        </p>
        <p class="text-lg wrap-anywhere whitespace-pre-line" dir="auto">{{ note.text }}</p>
        <form class="mt-2 flex flex-wrap gap-2" @submit.prevent="reply(note, note.seat)">
          <input
            v-model="replies[note.id]"
            :class="smallField"
            class="min-w-40 grow"
            maxlength="300"
            :aria-label="t('reply_to', { name: namesShown ? note.name : t('seat_2', { seat: note.seat }) })"
          />
          <UiButton size="small" type="submit" :disabled="!replies[note.id]?.trim()">{{
            t('reply')
          }}</UiButton>
          <UiButton size="small" :disabled="!replies[note.id]?.trim()" @click="reply(note, null)">{{
            t('to_everybody')
          }}</UiButton>
          <UiButton size="small" look="quiet" @click="desk.noteDone(note.id)">{{ t('done') }}</UiButton>
        </form>
      </li>
    </ul>
    <UiButton class="mt-4" @click="emit('close')">{{ common('close') }}</UiButton>
  </UiDialog>
</template>
