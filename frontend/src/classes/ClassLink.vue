<script setup lang="ts">
/** A link by which students become members: one by one, or all who have it until a day. */
import { computed, ref } from 'vue'
import type { ClassDetail } from '@/api/types'
import { dateOf } from '@/composables/format'
import CopyButton from '@/ui/CopyButton.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { field } from '@/ui/recipes'
import type { OneClass } from './useClass'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ one: OneClass; detail: ClassDetail }>()
const STATES: Record<ClassDetail['joining'], string> = {
  closed: t('closed_nobody_joins_by_a_link'),
  ask: t('students_ask_and_you_let_each'),
  open: t('whoever_has_the_link_is_in'),
}
const showing = ref(false)
const isOpen = computed(() => props.detail.joining !== 'closed')
const until = computed(() =>
  props.detail.joining_until ? t('until', { date: dateOf(props.detail.joining_until) }) : '',
)

function choose(event: Event): void {
  void props.one.setJoining(
    (event.target as HTMLSelectElement).value as ClassDetail['joining'],
    props.detail.joining_until,
  )
}

function limit(event: Event): void {
  void props.one.setJoining(props.detail.joining, (event.target as HTMLInputElement).value || null)
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4 py-3" aria-labelledby="link-head">
    <h2 id="link-head" class="text-lg">{{ t('joining_the_class_by_a_link') }}</h2>
    <label class="mt-1 block text-[15px]"
      ><span class="sr-only">{{ t('who_may_join_by_the_link') }}</span>
      <select :value="detail.joining" :class="field" @change="choose">
        <option v-for="(label, state) in STATES" :key="state" :value="state">{{ label }}</option>
      </select>
    </label>
    <template v-if="isOpen">
      <label class="mt-2 flex items-center gap-3 text-[15px]"
        >{{ t('until_the_end_of') }}
        <input
          type="date"
          :value="detail.joining_until ?? ''"
          class="rounded border border-edge px-2 py-1"
          @change="limit"
        />
      </label>
      <div class="mt-2 flex gap-4 text-[15px]">
        <span>{{ t('link') }} <CopyButton :text="detail.join_url" /></span>
        <button type="button" class="font-bold text-tide underline" @click="showing = true">
          {{ t('qr_picture') }}
        </button>
      </div>
    </template>
    <UiDialog :open="showing" :title="t('join', { name: detail.name })" @close="showing = false">
      <img
        :src="`/api/classes/${detail.id}/link.svg`"
        :alt="t('qr_picture_of_the_link')"
        class="mx-auto w-80"
      />
      <p class="mt-3 text-center text-[15px] break-all text-slate">{{ detail.join_url }}</p>
      <p class="mt-2 text-[15px]">{{ STATES[detail.joining] }} {{ until }}</p>
      <UiButton class="mt-4" @click="showing = false">{{ common('close') }}</UiButton>
    </UiDialog>
  </section>
</template>
