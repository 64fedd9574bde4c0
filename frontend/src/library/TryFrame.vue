<script setup lang="ts">
/** One device of the trial: the student's view, with a line to go through the set. */
import { useRoute } from 'vue-router'
import { followLanguage, followLook, offers, SeatView } from '@/live/student/tried'
import '@/styles/own-look.css'
import { useTrial } from './useTrial'
import { language } from '@/words'
import { isTeacherLanguage } from '@/words/teacher'
import { t } from './words'

const { link, at, count, failure, go } = useTrial(Number(useRoute().params.id))
// It is a device of its own, and looks and speaks as one; nothing of it is kept.
offers.aloud = false
followLook(false)
void followLanguage(false)
const step = 'min-h-11 px-3 font-bold text-tide disabled:text-slate'
</script>

<template>
  <p v-if="failure" role="alert" class="p-5">{{ failure }}</p>
  <template v-else>
    <nav
      :aria-label="t('through_the_set')"
      :lang="isTeacherLanguage(language) ? language : 'en'"
      dir="ltr"
      class="flex items-center justify-between border-b border-rule bg-sheet"
    >
      <button type="button" :class="step" :disabled="at === 0" @click="go(at - 1)">
        {{ t('left_back') }}
      </button>
      <span class="text-[15px] text-slate">{{ t('of', { number: at + 1, count }) }}</span>
      <button type="button" :class="step" :disabled="at + 1 >= count" @click="go(at + 1)">
        {{ t('next_right') }}
      </button>
    </nav>
    <SeatView :key="at" :link="link" :name="t('you')" />
  </template>
</template>
