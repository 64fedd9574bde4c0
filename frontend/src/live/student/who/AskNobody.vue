<script setup lang="ts">
import { t } from '../words'
</script>

<template>
  <p class="text-slate">{{ t('nobody_asks') }}</p>
</template>
