<script setup lang="ts">
/** What will be played: three lines, and who wins. */
import { computedAsync } from '@vueuse/core'
import { computed } from 'vue'
import type { GameChosen } from '@/api/types'
import { viewsOf } from '../registry'

const props = defineProps<{ game: GameChosen }>()
const told = computedAsync(() => viewsOf(props.game.game).rules(), null)
const rules = computed(() => told.value?.(props.game) ?? null)
</script>

<template>
  <section v-if="rules" :aria-label="rules.name">
    <h2 class="text-[1.25em]">{{ rules.name }}</h2>
    <ol class="mt-[0.5em] space-y-[0.35em]">
      <li v-for="(line, index) in rules.lines" :key="index" class="flex gap-[0.6em]">
        <span class="figure" aria-hidden="true">{{ index + 1 }}</span>
        <span>{{ line }}</span>
      </li>
    </ol>
    <p class="mt-[0.6em] border-s-4 border-lamp ps-[0.6em]">{{ rules.wins }}</p>
    <slot :rules="rules" />
  </section>
</template>
