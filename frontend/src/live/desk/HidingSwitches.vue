<script setup lang="ts">
import { answersShown, namesShown } from './hiding'
import { t } from './words'

const toggle = 'rounded px-0.5 underline underline-offset-2'
</script>

<template>
  <p class="text-sm text-slate">
    {{ t('names') }}
    <button type="button" :class="toggle" :aria-pressed="namesShown" @click="namesShown = !namesShown">
      {{ namesShown ? t('are_shown') : t('are_hidden') }}
    </button>
    {{ t('answers_2') }}
    <button type="button" :class="toggle" :aria-pressed="answersShown" @click="answersShown = !answersShown">
      {{ answersShown ? t('are_shown') : t('are_hidden') }}
    </button>
  </p>
</template>
