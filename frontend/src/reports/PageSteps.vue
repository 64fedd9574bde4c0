<script setup lang="ts">
/** To the one before, the one after, and back to all of the session: by arrow keys, too. */
import { useRouter } from 'vue-router'
import { useKeys } from '@/composables/useKeys'
import { button } from '@/ui/recipes'
import { t } from './words'

const props = defineProps<{
  session: number
  /** Where the arrows lead; null at an end. */
  before: string | null
  after: string | null
  /** What is stepped through, as "question". */
  what: string
}>()
const router = useRouter()
const go = (to: string | null): void => void (to && router.push(to))
useKeys({ ArrowLeft: () => go(props.before), ArrowRight: () => go(props.after) })
</script>

<template>
  <nav class="flex flex-wrap items-center gap-3" :aria-label="t('through_the_results')">
    <RouterLink :to="`/sessions/${session}`" class="font-bold text-tide hover:underline">{{
      t('all_of_the_session')
    }}</RouterLink>
    <span class="ms-auto flex gap-2">
      <component
        :is="before ? 'RouterLink' : 'span'"
        :to="before ?? undefined"
        :class="[button('plain', 'small'), !before && 'opacity-45']"
        :aria-disabled="!before"
        ><span aria-hidden="true" class="inline-block rtl:-scale-x-100">←</span>
        <span class="sr-only">{{ what }} </span>{{ t('before_2') }}</component
      >
      <component
        :is="after ? 'RouterLink' : 'span'"
        :to="after ?? undefined"
        :class="[button('plain', 'small'), !after && 'opacity-45']"
        :aria-disabled="!after"
        ><span class="sr-only">{{ what }} </span>{{ t('after_2') }}
        <span aria-hidden="true" class="inline-block rtl:-scale-x-100">→</span></component
      >
    </span>
  </nav>
</template>
