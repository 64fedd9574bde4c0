<script setup lang="ts">
/** How strictly a typed text is compared, as switches in a chip. */
import { computed } from 'vue'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import type { Strictness } from '@/api/types'
import { chip, menuPanel } from '@/ui/recipes'
import { t } from './words'

const props = defineProps<{ strictness: Strictness }>()
const emit = defineEmits<{ update: [strictness: Strictness] }>()

const DEFAULTS = { capitals: false, accents: true, articles: true, punctuation: false, typos: true }
const RULES = [
  { name: 'capitals', label: t('capitals_as_written'), strict: true },
  { name: 'accents', label: t('accents_as_written_is_not_e'), strict: true },
  { name: 'punctuation', label: t('punctuation_as_written'), strict: true },
  { name: 'articles', label: t('a_leading_article_may_be_left'), strict: false },
  {
    name: 'typos',
    label: t('small_typos_that_make_no_other'),
    strict: false,
  },
] as const

const full = computed(() => ({ ...DEFAULTS, ...props.strictness }))
const summary = computed(() => {
  const { typos, capitals, accents, articles, punctuation } = full.value
  if (capitals && accents && articles && punctuation && typos) return t('exactly_as_written')
  return (
    [
      capitals ? t('capitals_count') : '',
      accents ? '' : t('accents_free'),
      articles ? '' : t('articles_free'),
      punctuation ? t('punctuation_counts') : '',
      typos ? '' : t('typos_forgiven'),
    ]
      .filter(Boolean)
      .join(', ') || t('usual_spelling')
  )
})
</script>

<template>
  <Popover class="relative">
    <PopoverButton :class="chip"
      ><span class="sr-only">{{ t('how_strict') }} </span>{{ summary }}</PopoverButton
    >
    <PopoverPanel :class="menuPanel" class="w-80 px-3 py-2">
      <label v-for="rule in RULES" :key="rule.name" class="flex items-start gap-2 py-1">
        <input
          type="checkbox"
          class="mt-1 size-4 accent-tide"
          :checked="full[rule.name] === rule.strict"
          @change="emit('update', { ...full, [rule.name]: !full[rule.name] })"
        />
        {{ rule.label }}
      </label>
    </PopoverPanel>
  </Popover>
</template>
