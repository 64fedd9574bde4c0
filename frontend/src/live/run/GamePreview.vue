<script setup lang="ts">
/** A game on this very set as it begins, small: on a phone and, where it has a board, on the big screen. */
import { shallowRef, watch } from 'vue'
import { api, data } from '@/api/http'
import type { Glimpse, Mine, Settings } from '@/api/types'
import { viewsOf } from '@/games/registry'
import ScreenGame from '../screen/ScreenGame.vue'
import OwnBoard from '../student/seated/OwnBoard.vue'
import QuestionBody from '../student/seated/QuestionBody.vue'
import { t } from './words'

const props = defineProps<{ set: number; settings: Settings; label: string }>()
const found = shallowRef<Glimpse | null>(null)
const isMissing = shallowRef(false)

watch(
  () => JSON.stringify([props.set, props.settings]),
  async () => {
    const body = { set: props.set, settings: props.settings }
    const seen = await data(api.POST('/api/live/glimpse', { body })).catch(() => null)
    if (seen) found.value = seen as Glimpse
    isMissing.value = !seen
  },
  { immediate: true },
)
const answers = (mine: Mine): boolean => !!mine.board && !!viewsOf(mine.board.game).answers
</script>

<template>
  <div
    class="flex flex-wrap items-start gap-3"
    role="img"
    :aria-label="t('as_it_begins_with_this_set', { label })"
  >
    <p v-if="isMissing && !found" class="text-[15px] text-slate">{{ t('it_cannot_be_shown_just_now') }}</p>
    <div v-else class="h-60 w-44 overflow-hidden rounded border border-edge bg-fog" inert>
      <div v-if="found" class="w-[390px] origin-top-left scale-[0.4513] p-4">
        <OwnBoard
          v-if="found.mine.board && !answers(found.mine)"
          :mine="found.mine"
          at="during"
          :item="found.shown?.item.id"
        />
        <QuestionBody
          v-if="found.shown"
          :shown="found.shown"
          :mine="found.mine"
          :answer="null"
          stage="open"
          disabled
          :now="0"
        >
          <template v-if="answers(found.mine)" #answer>
            <OwnBoard :mine="found.mine" at="during" :question="found.shown.item" disabled />
          </template>
        </QuestionBody>
      </div>
    </div>
    <div
      v-if="found?.screen.board"
      class="night on-look h-[172px] w-[306px] max-w-full overflow-hidden rounded bg-ground text-front"
      inert
    >
      <div class="flex h-[720px] w-[1280px] origin-top-left scale-[0.239] p-10 text-[30px]">
        <ScreenGame :view="found.screen" at="between" class="min-w-0 grow" />
      </div>
    </div>
  </div>
</template>
