<script setup lang="ts">
import { answersShown, namesShown } from './hiding'

const toggle = 'rounded px-0.5 underline underline-offset-2'
</script>

<template>
  <p class="text-sm text-slate">
    names
    <button type="button" :class="toggle" :aria-pressed="namesShown" @click="namesShown = !namesShown">
      {{ namesShown ? 'shown' : 'hidden' }}
    </button>
    · answers
    <button type="button" :class="toggle" :aria-pressed="answersShown" @click="answersShown = !answersShown">
      {{ answersShown ? 'shown' : 'hidden' }}
    </button>
  </p>
</template>
