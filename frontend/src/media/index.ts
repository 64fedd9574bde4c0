export { default as ItemMedia } from './ItemMedia.vue'
export { default as MediaSlot } from './MediaSlot.vue'
export { default as ShelfPage } from './ShelfPage.vue'
export { mediaFileIn, useUpload } from './useUpload'
