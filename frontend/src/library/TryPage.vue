<script setup lang="ts">
/** The set as students see it, on a phone and on a tablet side by side. Nothing is kept. */
import { useRoute } from 'vue-router'
import { t } from './words'

const SIZES = [
  { name: t('phone'), width: 390 },
  { name: t('tablet'), width: 768 },
]
const id = Number(useRoute().params.id)
</script>

<template>
  <div class="px-6 py-5">
    <div class="mb-4 flex flex-wrap items-baseline gap-x-5">
      <h1 class="text-2xl">{{ t('try_it_as_a_student') }}</h1>
      <p class="text-slate">
        {{ t('these_are_the_students_own_pages') }}
      </p>
      <RouterLink :to="`/sets/${id}`" class="font-bold text-tide hover:underline">{{
        t('back_to_writing')
      }}</RouterLink>
    </div>
    <div class="flex flex-wrap gap-6">
      <figure v-for="size in SIZES" :key="size.name" class="max-w-full">
        <figcaption class="mb-1 text-sm text-slate">
          {{ t('wide', { name: size.name, width: size.width }) }}
        </figcaption>
        <iframe
          :src="`/sets/${id}/try/frame`"
          :title="t('the_set_on_a', { device: size.name.toLowerCase() })"
          :width="size.width"
          class="h-[max(30rem,calc(100vh-11rem))] max-w-full rounded border border-ink bg-fog"
        />
      </figure>
    </div>
  </div>
</template>
