<script setup lang="ts">
/** How far a class is: its link, its figures, and a line for everybody. */
import { computed, ref } from 'vue'
import type { WorkDetail, WorkLine } from '@/api/types'
import CopyButton from '@/ui/CopyButton.vue'
import UiButton from '@/ui/UiButton.vue'
import { button } from '@/ui/recipes'
import WorkLineRow from './WorkLineRow.vue'
import type { UsedWork } from './useWork'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ part: WorkDetail['classes'][number]; work: WorkDetail; used: UsedWork }>()
const order = ref<'name' | 'stage' | 'share'>('name')
const showsPicture = ref(false)
const given = computed(() => props.part.given)
const STAGE: WorkLine['stage'][] = ['not_begun', 'begun', 'handed_in', 'excused']
const lines = computed(() => {
  const found = [...props.part.lines]
  if (order.value === 'stage') found.sort((a, b) => STAGE.indexOf(a.stage) - STAGE.indexOf(b.stage))
  if (order.value === 'share') found.sort((a, b) => (a.share ?? 2) - (b.share ?? 2))
  return found
})
const left = computed(() => props.part.lines.filter((line) => line.stage === 'not_begun').length)
const shares = computed(() => props.part.lines.flatMap((line) => (line.share === null ? [] : [line.share])))
const mean = computed(() =>
  shares.value.length
    ? `${Math.round((100 * shares.value.reduce((all, one) => all + one, 0)) / shares.value.length)} %`
    : '–',
)
const picture = computed(() => `/api/work/${props.work.id}/given/${given.value.id}/qr.svg`)
</script>

<template>
  <section>
    <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <h2 class="grow text-xl wrap-anywhere">
        {{ given.class_name || t('whoever_has_the_link') }}
        <span v-if="given.named" class="text-base font-normal text-slate">
          {{ t('students_of_it', { n: given.named }) }}</span
        >
      </h2>
      <RouterLink :to="`/sessions/${given.session}`" :class="button('plain', 'small')">{{
        t('results')
      }}</RouterLink>
      <UiButton v-if="left" size="small" :disabled="used.busy.value" @click="used.remind(given.id)">{{
        t('remind_who_has_not_begun')
      }}</UiButton>
    </div>
    <p class="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2">
      <span class="text-slate">{{ t('link') }}</span>
      <span class="wrap-anywhere" dir="ltr">{{ given.url }}</span>
      <CopyButton :text="given.url" :label="t('copy_the_link')" />
      <UiButton look="quiet" size="small" :aria-expanded="showsPicture" @click="showsPicture = !showsPicture">
        {{ showsPicture ? t('hide_the_qr_picture') : t('qr_picture') }}
      </UiButton>
    </p>
    <img
      v-if="showsPicture"
      :src="picture"
      :alt="t('qr_picture_of', { url: given.url })"
      class="mb-3 size-48"
    />
    <dl class="mb-3 flex flex-wrap gap-x-8 gap-y-2">
      <div>
        <dt class="text-[15px] text-slate">{{ t('handed_in') }}</dt>
        <dd class="figure text-2xl">
          {{ given.handed_in }}
          <span v-if="given.expected" class="text-base">{{ t('of', { expected: given.expected }) }}</span>
        </dd>
      </div>
      <div>
        <dt class="text-[15px] text-slate">{{ t('at_work') }}</dt>
        <dd class="figure text-2xl">{{ given.begun }}</dd>
      </div>
      <div>
        <dt class="text-[15px] text-slate">{{ t('not_begun') }}</dt>
        <dd class="figure text-2xl">{{ left }}</dd>
      </div>
      <div>
        <dt class="text-[15px] text-slate">{{ t('mean') }}</dt>
        <dd class="figure text-2xl">{{ mean }}</dd>
      </div>
    </dl>
    <p v-if="!part.lines.length" class="text-slate">{{ t('nobody_has_opened_the_link_yet') }}</p>
    <div
      v-else
      class="relative overflow-x-auto rounded border border-rule bg-sheet"
      tabindex="0"
      role="group"
      :aria-label="t('everybody_in', { class_name: given.class_name || t('this_work') })"
    >
      <table class="w-full min-w-[50rem] text-[15px]">
        <thead class="border-b border-rule text-start text-slate">
          <tr>
            <th scope="col" class="px-3 py-2 text-start font-normal">
              <button
                type="button"
                class="min-h-7 hover:text-ink"
                :class="order === 'name' && 'font-bold text-ink'"
                @click="order = 'name'"
              >
                {{ common('name') }}
              </button>
            </th>
            <th scope="col" class="px-3 py-2 text-start font-normal">
              <button
                type="button"
                class="min-h-7 hover:text-ink"
                :class="order === 'stage' && 'font-bold text-ink'"
                @click="order = 'stage'"
              >
                {{ t('how_far') }}
              </button>
            </th>
            <th scope="col" class="px-3 py-2 text-start font-normal">{{ t('when') }}</th>
            <th scope="col" class="px-3 py-2 text-end font-normal">{{ t('took') }}</th>
            <th scope="col" class="px-3 py-2 text-end font-normal">{{ t('attempts') }}</th>
            <th scope="col" class="px-3 py-2 text-end font-normal">
              <button
                type="button"
                class="min-h-7 hover:text-ink"
                :class="order === 'share' && 'font-bold text-ink'"
                @click="order = 'share'"
              >
                {{ t('right') }}
              </button>
            </th>
            <th scope="col" class="w-12 px-3 py-2">
              <span class="sr-only">{{ t('more') }}</span>
            </th>
          </tr>
        </thead>
        <tbody class="divide-y divide-rule">
          <WorkLineRow
            v-for="line in lines"
            :key="line.who"
            :line="line"
            :given="given"
            :work="work"
            :used="used"
          />
        </tbody>
      </table>
    </div>
  </section>
</template>
