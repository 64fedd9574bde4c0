<script setup lang="ts">
/** The set as students see it, on a phone and on a tablet side by side. Nothing is kept. */
import { useRoute } from 'vue-router'

const SIZES = [
  { name: 'Phone', width: 390 },
  { name: 'Tablet', width: 768 },
]
const id = Number(useRoute().params.id)
</script>

<template>
  <div class="px-6 py-5">
    <div class="mb-4 flex flex-wrap items-baseline gap-x-5">
      <h1 class="text-2xl">Try it as a student</h1>
      <p class="text-slate">
        These are the students’ own pages, with marks and feedback. Nothing you do here is kept.
      </p>
      <RouterLink :to="`/sets/${id}`" class="font-bold text-tide hover:underline">Back to writing</RouterLink>
    </div>
    <div class="flex flex-wrap gap-6">
      <figure v-for="size in SIZES" :key="size.name" class="max-w-full">
        <figcaption class="mb-1 text-sm text-slate">{{ size.name }}, {{ size.width }} wide</figcaption>
        <iframe
          :src="`/sets/${id}/try/frame`"
          :title="`The set on a ${size.name.toLowerCase()}`"
          :width="size.width"
          class="h-[max(30rem,calc(100vh-11rem))] max-w-full rounded border border-ink bg-fog"
        />
      </figure>
    </div>
  </div>
</template>
