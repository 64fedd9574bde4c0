<script setup lang="ts">
/** A question's picture, no higher than `--picture-height`. */
import type { Picture } from '@/api/types'
import { pictureSet, pictureUrl } from '@/media/shown/pictures'

defineProps<{
  picture: Picture
  /** How wide it is shown at most, as an image's `sizes`. */
  sizes?: string
}>()
</script>

<template>
  <img
    :src="pictureUrl(picture, 960)"
    :srcset="pictureSet(picture)"
    :sizes="sizes ?? '100vw'"
    :alt="picture.description"
    :width="picture.width"
    :height="picture.height"
    class="picture rounded"
  />
</template>

<style scoped>
.picture {
  width: auto;
  max-width: 100%;
  height: auto;
  max-height: var(--picture-height, 38vh);
}
</style>
