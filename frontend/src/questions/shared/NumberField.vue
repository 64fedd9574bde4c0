<script setup lang="ts">
/** A number being typed. What stands in the field is left alone while somebody types "0." on the way to 0.5. */
import { ref, watch } from 'vue'

const number = defineModel<number | null>({ required: true })
const shown = (value: number | null): string => (value === null ? '' : String(value))
const text = ref(shown(number.value))
const typing = ref(false)

watch(number, (value) => {
  if (!typing.value) text.value = shown(value)
})

/** With a decimal comma or point; null while it is no number. */
function read(): void {
  const value = Number(text.value.trim().replace(',', '.').replace('−', '-'))
  number.value = text.value.trim() === '' || !Number.isFinite(value) ? null : value
}

function leave(): void {
  typing.value = false
  text.value = shown(number.value)
}
</script>

<template>
  <input
    v-model="text"
    type="text"
    inputmode="decimal"
    autocomplete="off"
    class="w-28 rounded border border-edge bg-sheet px-2 py-1"
    @focus="typing = true"
    @input="read"
    @blur="leave"
  />
</template>
