<script setup lang="ts">
/** Each left line with a list of partners. A partner that is taken elsewhere moves here. */
import { computed } from 'vue'
import type { PublicItemOf, StudentAnswerOf } from '@/api/types'
import MediaView from '@/media/shown/MediaView.vue'
import { LETTERS, textOf } from '@/questions/shared/lines'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'match'>
  answer: StudentAnswerOf<'match'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'match'> | null] }>()

const chosen = computed(() => new Map(props.answer?.matched.map((one) => [one.left, one.right])))
const options = computed(() =>
  props.item.right.map((line, index) => ({ ...line, name: `${LETTERS[index]}  ${textOf(line.html)}` })),
)
const takenBy = (right: string): string | undefined =>
  [...chosen.value].find(([, partner]) => partner === right)?.[0]

function choose(left: string, right: string): void {
  const next = new Map([...chosen.value].filter(([one, partner]) => one !== left && partner !== right))
  if (right) next.set(left, right)
  const matched = [...next].map(([one, partner]) => ({ left: one, right: partner }))
  emit('update', matched.length ? { kind: 'match', matched } : null)
}
</script>

<template>
  <fieldset :disabled="disabled" class="space-y-2.5">
    <legend class="sr-only" :lang="language" dir="auto">{{ t('partners') }}</legend>
    <ol class="mb-4 grid gap-1 rounded border border-rule bg-sheet px-3 py-2">
      <li
        v-for="(line, index) in item.right"
        :key="line.id"
        class="flex gap-3"
        :class="takenBy(line.id) && 'text-slate'"
      >
        <b>{{ LETTERS[index] }}</b><span :data-read="line.id" class="prose" dir="auto" v-html="line.html" />
        <span v-if="takenBy(line.id)" class="ms-auto text-[15px]" :lang="language" dir="auto">{{
          t('chosen')
        }}</span>
      </li>
    </ol>
    <div
      v-for="(line, index) in item.left"
      :key="line.id"
      class="rounded border border-edge bg-sheet px-3 py-2"
    >
      <MediaView v-if="line.media" :media="line.media" small class="mb-1.5 [--option-picture:9rem]" />
      <label
        v-if="line.html"
        :for="`match-${line.id}`"
        :data-read="line.id"
        class="prose block text-lg leading-snug"
        dir="auto"
        v-html="line.html"
      />
      <label v-else :for="`match-${line.id}`" class="sr-only" :lang="language" dir="auto">{{
        t('partner_of', { number: index + 1 })
      }}</label>
      <select
        :id="`match-${line.id}`"
        class="mt-1.5 min-h-11 w-full rounded border px-2 text-lg"
        :class="chosen.get(line.id) ? 'border-tide bg-tide-wash' : 'border-edge bg-sheet'"
        :value="chosen.get(line.id) ?? ''"
        @change="choose(line.id, ($event.target as HTMLSelectElement).value)"
      >
        <option value="" :lang="language" dir="auto">{{ t('choose_one') }}</option>
        <option v-for="option in options" :key="option.id" :value="option.id">{{ option.name }}</option>
      </select>
    </div>
  </fieldset>
</template>
