<script setup lang="ts">
/** How strictly a typed text is compared, as switches in a chip. */
import { computed } from 'vue'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import type { Strictness } from '@/api/types'
import { chip, menuPanel } from '@/ui/recipes'

const props = defineProps<{ strictness: Strictness }>()
const emit = defineEmits<{ update: [strictness: Strictness] }>()

const DEFAULTS = { capitals: false, accents: true, articles: true, punctuation: false, typos: true }
const RULES = [
  { name: 'capitals', label: 'Capitals as written', strict: true },
  { name: 'accents', label: 'Accents as written (é is not e)', strict: true },
  { name: 'punctuation', label: 'Punctuation as written', strict: true },
  { name: 'articles', label: 'A leading article may be left out or added', strict: false },
  {
    name: 'typos',
    label: 'Small typos that make no other word are forgiven (one letter from five, two from nine)',
    strict: false,
  },
] as const

const full = computed(() => ({ ...DEFAULTS, ...props.strictness }))
const summary = computed(() => {
  const { typos, capitals, accents, articles, punctuation } = full.value
  if (capitals && accents && articles && punctuation && typos) return 'exactly as written'
  return (
    [
      capitals ? 'capitals count' : '',
      accents ? '' : 'accents free',
      articles ? '' : 'articles free',
      punctuation ? 'punctuation counts' : '',
      typos ? '' : 'typos forgiven',
    ]
      .filter(Boolean)
      .join(', ') || 'usual spelling'
  )
})
</script>

<template>
  <Popover class="relative">
    <PopoverButton :class="chip"><span class="sr-only">How strict: </span>{{ summary }}</PopoverButton>
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
