<script setup lang="ts">
/** One's own link, to go on on another device. Whoever has it is this student: it is shown when it is asked for. */
import { computed, ref } from 'vue'
import { t } from './words'

const props = defineProps<{ link: string; token: string }>()
const url = computed(() => `${location.origin}/w/${props.link}#${props.token}`)
const isCopied = ref(false)

async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(url.value)
    isCopied.value = true
  } catch {
    // It can be copied by hand: it stands there.
  }
}
</script>

<template>
  <details class="mt-8">
    <summary class="min-h-11 cursor-pointer py-2.5 font-bold text-tide">{{ t('other_device') }}</summary>
    <p class="mt-1">{{ t('own_link') }}</p>
    <p class="mt-2 rounded border border-rule bg-sheet p-3 text-[15px] wrap-anywhere" dir="ltr">{{ url }}</p>
    <button type="button" class="mt-2 min-h-11 rounded border border-ink px-4 font-bold" @click="copy">
      {{ t(isCopied ? 'copied' : 'copy') }}
    </button>
  </details>
</template>
