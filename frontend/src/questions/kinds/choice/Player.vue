<script setup lang="ts">
import { computed } from 'vue'
import type { StudentAnswerOf, PublicItemOf } from '@/api/types'
import MediaView from '@/media/shown/MediaView.vue'
import LetterBox from '@/questions/shared/LetterBox.vue'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'choice'>
  answer: StudentAnswerOf<'choice'> | null
  disabled: boolean
}>()
const emit = defineEmits<{ update: [answer: StudentAnswerOf<'choice'> | null] }>()

const chosen = computed(() => new Set(props.answer?.chosen ?? []))
const type = computed(() => (props.item.several ? 'checkbox' : 'radio'))

/** Pictures alone stand two in a row. */
const onlyPictures = computed(() => props.item.options.every((option) => option.media && !option.html))

function toggle(id: string): void {
  const next = new Set(props.item.several ? chosen.value : [])
  if (chosen.value.has(id) && props.item.several) next.delete(id)
  else next.add(id)
  emit('update', next.size ? { kind: 'choice', chosen: [...next] } : null)
}
</script>

<template>
  <fieldset :disabled="disabled" class="grid gap-2.5" :class="onlyPictures && 'grid-cols-2'">
    <legend class="sr-only" :lang="language" dir="auto">
      {{ t(item.several ? 'sort_several' : 'sort_one') }}
    </legend>
    <label
      v-for="option in item.options"
      :key="option.id"
      class="flex min-h-14 gap-3 rounded border px-3 py-2.5 text-lg leading-snug has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-tide"
      :class="[
        onlyPictures ? 'flex-col [--option-picture:9rem]' : 'items-center',
        chosen.has(option.id) ? 'border-tide bg-tide-wash ring-2 ring-tide' : 'border-edge bg-sheet',
        disabled && !chosen.has(option.id) && 'text-slate',
      ]"
    >
      <input
        :type="type"
        :name="item.id"
        class="sr-only"
        :value="option.id"
        :checked="chosen.has(option.id)"
        @change="toggle(option.id)"
      />
      <LetterBox :letter="option.letter" :filled="chosen.has(option.id)" />
      <MediaView v-if="option.media" :media="option.media" small :class="onlyPictures && 'self-center'" />
      <span v-if="option.html" :data-read="option.id" class="prose" dir="auto" v-html="option.html" />
    </label>
  </fieldset>
</template>
