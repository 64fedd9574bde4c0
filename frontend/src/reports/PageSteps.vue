<script setup lang="ts">
/** To the one before, the one after, and back to all of the session: by arrow keys, too. */
import { useRouter } from 'vue-router'
import { useKeys } from '@/composables/useKeys'
import { button } from '@/ui/recipes'

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
  <nav class="flex flex-wrap items-center gap-3" aria-label="Through the results">
    <RouterLink :to="`/sessions/${session}`" class="font-bold text-tide hover:underline"
      >All of the session</RouterLink
    >
    <span class="ms-auto flex gap-2">
      <component
        :is="before ? 'RouterLink' : 'span'"
        :to="before ?? undefined"
        :class="[button('plain', 'small'), !before && 'opacity-45']"
        :aria-disabled="!before"
        ><span aria-hidden="true">←</span> <span class="sr-only">{{ what }} </span>before</component
      >
      <component
        :is="after ? 'RouterLink' : 'span'"
        :to="after ?? undefined"
        :class="[button('plain', 'small'), !after && 'opacity-45']"
        :aria-disabled="!after"
        ><span class="sr-only">{{ what }} </span>after <span aria-hidden="true">→</span></component
      >
    </span>
  </nav>
</template>
