<script setup lang="ts">
/** A round of what was missed in a session: from the end of it, and back to it. */
import { defineAsyncComponent, ref, shallowRef } from 'vue'
import type { PracticeStarted } from '@/api/types'
import { practiseMissedIn } from '../doing/request'
import { toldOf } from '../doing/told'
import { t } from '../doing/words'
import PhoneFrame from '../PhoneFrame.vue'

const AttemptView = defineAsyncComponent(() => import('../doing/AttemptView.vue'))
const props = defineProps<{ token: string; name: string; seat: number }>()
const emit = defineEmits<{ over: [] }>()
const started = shallowRef<PracticeStarted | null>(null)
const notice = ref('')

practiseMissedIn(props.token)
  .then((found) => (started.value = found))
  .catch((error: unknown) => (notice.value = toldOf(error)))
</script>

<template>
  <AttemptView
    v-if="started"
    :token="started.token"
    :begun="started.begun"
    :name="name"
    :number="seat"
    :title="t('practice')"
    @over="emit('over')"
    @gone="emit('over')"
  />
  <PhoneFrame v-else :left="name">
    <p v-if="notice" role="alert" class="pt-10 text-lg">{{ notice }}</p>
    <p v-else role="status" class="pt-10 text-lg text-slate">{{ t('opening') }}</p>
    <template #foot>
      <button type="button" class="min-h-11 font-bold text-tide" @click="emit('over')">
        {{ t('to_page') }}
      </button>
    </template>
  </PhoneFrame>
</template>
