<script setup lang="ts">
/** A list of plain texts, such as accepted spellings. */
import { computed } from 'vue'
import LineList from './LineList.vue'

const props = defineProps<{ texts: readonly string[]; label: string; most: number; fewest?: number }>()
const emit = defineEmits<{ update: [texts: string[]] }>()

const lines = computed(() => props.texts.map((text, index) => ({ id: String(index), text })))
</script>

<template>
  <LineList
    :lines="lines"
    :label="label"
    :fewest="fewest ?? 1"
    :most="most"
    :blank="() => ({ id: String(texts.length), text: '' })"
    @update="
      emit(
        'update',
        $event.map((line) => line.text),
      )
    "
  />
</template>
