<script setup lang="ts">
/** The options: texts, pictures, or both, each with its mark. */
import { newId } from '@/api/ids'
import type { ItemOf } from '@/api/types'
import LineList from '@/questions/editing/LineList.vue'
import { MediaSlot } from '@/media'
import { t } from './words'

type Choice = ItemOf<'choice'>
type Option = NonNullable<Choice['options']>[number]
const LETTERS = 'ABCDEFGHIJKL'

const props = defineProps<{ item: Choice }>()
const emit = defineEmits<{ update: [item: Choice] }>()

const change = (options: Option[]): void => emit('update', { ...props.item, options })
const options = (): Option[] => props.item.options ?? []
const blank = (): Option => ({ id: newId(8), text: '', right: false })

function mark(index: number): void {
  const several = props.item.form === 'several'
  change(
    options().map((option, at) => {
      if (at === index) return { ...option, right: several ? !option.right : true }
      return several ? option : { ...option, right: false }
    }),
  )
}

function setMedia(index: number, media: Option['media']): void {
  change(options().map((option, at) => (at === index ? { ...option, media } : option)))
}
</script>

<template>
  <LineList
    :lines="options()"
    :label="t('option')"
    by="letter"
    :fewest="2"
    :most="12"
    :blank="blank"
    :fixed="item.form === 'true_false'"
    @update="change"
  >
    <template #before="{ line, index }">
      <label
        v-if="item.scored"
        class="mt-1 inline-flex size-7 shrink-0 cursor-pointer items-center justify-center"
        :title="line.right ? t('the_right_answer') : t('mark_as_right')"
      >
        <input
          :type="item.form === 'several' ? 'checkbox' : 'radio'"
          :name="`right-${item.id}`"
          class="peer sr-only"
          :checked="line.right"
          :aria-label="t('option_is_right', { letter: LETTERS[index] ?? '' })"
          @change="mark(index)"
        />
        <span
          aria-hidden="true"
          class="flex size-5 items-center justify-center border-2 text-xs font-bold text-sheet peer-focus-visible:outline-3 peer-focus-visible:outline-offset-2 peer-focus-visible:outline-tide"
          :class="[
            item.form === 'several' ? 'rounded-sm' : 'rounded-full',
            line.right ? 'border-leaf bg-leaf' : 'border-slate bg-sheet',
          ]"
          >{{ line.right ? '✓' : '' }}</span
        >
      </label>
      <span v-else class="mt-1.5 w-6 text-center font-bold text-slate" aria-hidden="true">{{
        LETTERS[index]
      }}</span>
    </template>
    <template #after="{ line, index, called }">
      <MediaSlot
        v-if="item.form !== 'true_false'"
        :media="line.media ?? null"
        :name="called"
        :active="true"
        quiet
        @update="setMedia(index, $event)"
      />
    </template>
  </LineList>
</template>
