<script setup lang="ts">
/** The mark: by the lines of a rubric that are met, or by itself. Keys do the same. */
import { computed, ref } from 'vue'
import type { ToMark } from '@/api/types'
import { fraction } from '@/composables/format'
import { useKeys } from '@/composables/useKeys'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'

const props = defineProps<{
  rubric: ToMark['rubric']
  /** As it stands; null where it waits. */
  mark: number | null
  met: readonly number[]
}>()
const emit = defineEmits<{ mark: [mark: number]; lines: [lines: number[]] }>()
const MARKS = [
  { value: 0, text: t('nothing') },
  { value: 0.25, text: '¼' },
  { value: 0.5, text: '½' },
  { value: 0.75, text: '¾' },
  { value: 1, text: t('full') },
] as const
const met = ref(new Set(props.met))
const told = computed(() => {
  if (props.mark === null) return t('it_waits_for_its_mark')
  return props.mark === 0 || props.mark === 1
    ? t('its_mark_is', { mark: props.mark })
    : t('its_mark_is', { mark: fraction(props.mark) })
})

function toggle(line: number): void {
  if (line >= props.rubric.length) return
  const next = new Set(met.value)
  if (!next.delete(line)) next.add(line)
  met.value = next
}
const give = (): void => emit('lines', [...met.value].sort())

function onDigit(digit: number): void {
  if (props.rubric.length) return digit ? toggle(digit - 1) : emit('lines', [])
  const chosen = MARKS[digit]
  if (chosen) emit('mark', chosen.value)
}
const digits = Array.from({ length: 10 }, (_, digit) => [String(digit), () => onDigit(digit)] as const)
useKeys({ ...Object.fromEntries(digits), Enter: () => void (props.rubric.length && give()) })
</script>

<template>
  <div role="group" :aria-label="t('mark')">
    <ul v-if="rubric.length" class="space-y-1">
      <li v-for="(line, index) in rubric" :key="index">
        <label class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="size-4 accent-tide"
            :checked="met.has(index)"
            @change="toggle(index)"
          />
          <kbd class="rounded-sm border border-current px-1.5 font-text text-xs" aria-hidden="true">{{
            index + 1
          }}</kbd>
          <span class="min-w-0 grow wrap-anywhere">{{ line.text }}</span>
          <span class="text-slate tabular-nums">{{ line.points }}</span></label
        >
      </li>
    </ul>
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <template v-if="rubric.length">
        <UiButton look="main" hint="↵" @click="give">{{ t('give_the_mark') }}</UiButton>
        <UiButton hint="0" @click="emit('lines', [])">{{ t('nothing_of_it') }}</UiButton>
      </template>
      <template v-else>
        <UiButton
          v-for="(one, index) in MARKS"
          :key="one.value"
          :look="one.value === mark ? 'main' : 'plain'"
          :aria-pressed="one.value === mark"
          :hint="String(index)"
          @click="emit('mark', one.value)"
          >{{ one.text }}</UiButton
        >
      </template>
      <span class="ms-2 text-[15px] text-slate">{{ told }}</span>
    </div>
  </div>
</template>
