<script setup lang="ts">
/** What is prepared, and what has been run. */
import { PreparedSessions } from '@/live/run'
import { SessionsPage } from '@/reports'
</script>

<template>
  <PreparedSessions />
  <SessionsPage />
</template>
