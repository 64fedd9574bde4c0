<script setup lang="ts">
defineProps<{ title: string; forToday: boolean }>()
</script>

<template>
  <div class="flex flex-col justify-center" role="status">
    <p class="text-soft">{{ title || 'Untitled set' }}</p>
    <h1 class="mt-[1vh] text-[3em]">{{ forToday ? 'Closed for today' : 'Paused' }}</h1>
    <p class="mt-[2vh]">
      {{
        forToday
          ? 'It goes on another day, exactly here. You can close your page.'
          : 'It goes on in a moment. Every clock stands.'
      }}
    </p>
  </div>
</template>
