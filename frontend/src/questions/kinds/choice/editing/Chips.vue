<script setup lang="ts">
/** Form and marking of a choice. */
import { computed } from 'vue'
import { newId } from '@/api/ids'
import type { ItemOf } from '@/api/types'
import { saidIn } from '@/told'
import ChipMenu from '@/ui/ChipMenu.vue'
import { useLanguage } from '@/ui/setLanguage'
import { language } from '@/words'
import { t } from './words'

type Choice = ItemOf<'choice'>
const props = defineProps<{ item: Choice }>()
const emit = defineEmits<{ update: [item: Choice] }>()

const FORMS = [
  { value: 'one', label: t('one_is_right') },
  { value: 'several', label: t('several_are_right') },
  { value: 'true_false', label: t('true_or_false') },
] as const
const MARKINGS = [
  { value: 'all_or_nothing', label: t('all_or_nothing') },
  { value: 'right_minus_wrong', label: t('right_minus_wrong') },
] as const

const ofSet = useLanguage()

const form = computed(() => props.item.form ?? 'one')
const formLabel = computed(() => {
  if (props.item.scored) return FORMS.find((one) => one.value === form.value)!.label
  return { one: t('choose_one'), several: t('choose_any'), true_false: t('true_or_false') }[form.value]
})

/** In the language of the set, as the questions are. */
function trueAndFalse(): Promise<string[]> {
  const tag = ofSet() || language.value
  /* eslint-disable words/no-bare-words -- English goes along with the codes */
  return Promise.all([saidIn(tag, 'is_true', 'True'), saidIn(tag, 'is_false', 'False')])
  /* eslint-enable words/no-bare-words */
}

/** Turning into true/false keeps which of the first two was right, and what cannot be kept is undoable. */
async function setForm(next: NonNullable<Choice['form']>): Promise<void> {
  const words = next === 'true_false' ? await trueAndFalse() : []
  let options = props.item.options ?? []
  if (next === 'true_false') {
    const firstRight = options[1]?.right ? 1 : 0
    const anyRight = options.some((option) => option.right)
    options = words.map((text, index) => ({
      id: options[index]?.id ?? newId(8),
      text,
      right: anyRight && index === firstRight,
    }))
  } else if (next === 'one') {
    const first = options.findIndex((option) => option.right)
    options = options.map((option, index) => ({ ...option, right: index === first }))
  }
  emit('update', { ...props.item, form: next, options })
}
</script>

<template>
  <ChipMenu
    :label="t('form')"
    :choices="FORMS"
    :value="form"
    :text="formLabel"
    @choose="setForm($event as NonNullable<Choice['form']>)"
  />
  <ChipMenu
    v-if="form === 'several' && item.scored"
    :label="t('marking')"
    :choices="MARKINGS"
    :value="item.marking ?? 'all_or_nothing'"
    @choose="emit('update', { ...item, marking: $event as Choice['marking'] })"
  />
</template>
