<script setup lang="ts">
/** A session's results: figures, what to teach again, everyone by every question. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { sentenceOf, told } from '@/told'
import { dayAndTime } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { button, menuPanel } from '@/ui/recipes'
import CorrectionPreview from './CorrectionPreview.vue'
import DoneLater from './DoneLater.vue'
import FrozenSet from './FrozenSet.vue'
import ReliabilityNote from './ReliabilityNote.vue'
import SessionFigures from './SessionFigures.vue'
import SessionHappened from './SessionHappened.vue'
import SessionGrid from './SessionGrid.vue'
import SessionParts from './SessionParts.vue'
import SessionTitle from './SessionTitle.vue'
import TakeOut from './TakeOut.vue'
import TeachAgain from './TeachAgain.vue'
import WhoWasThere from './WhoWasThere.vue'
import { provideCorrections } from './useCorrections'
import { useReport } from './useReport'
import { useSessionChanges } from './useSessionChanges'
import { t } from './words'
import { t as common } from '@/ui/words'

const id = Number(useRoute().params.id)
const router = useRouter()
const { view, session, error } = useReport(id)
const { busy, command } = provideCorrections(id)
const { archive, remove } = useSessionChanges()
const showsSet = ref(false)
useTitle(computed(() => common('page_title', { title: session.value?.report.title ?? t('session') })))

const when = computed(() => {
  const { created_at: from, ended_at: to } = session.value ?? {}
  if (!from) return ''
  if (session.value?.work) return t('set_work_given', { when: dayAndTime(from) })
  if (!to) return t('still_running', { when: dayAndTime(from) })
  const minutes = Math.max(1, Math.round((Date.parse(to) - Date.parse(from)) / 60_000))
  return t('min', { when: dayAndTime(from), minutes })
})
const named = computed(() => ({ id, title: session.value?.report.title ?? '' }))
const hardest = computed(() => session.value?.teach.questions.map((one) => one.item) ?? [])

const otherwise = computed(() => {
  const count = session.value?.report.marked_otherwise ?? 0
  return t('answers_would_be_marked_otherwise_now', { n: count })
})

const waiting = computed(() => {
  const count = session.value?.report.waiting ?? 0
  return t('answers_wait_for_a_mark_2', { n: count })
})

function turnCounting(): void {
  view.value.counting = view.value.counting === 'everything' ? 'since_joined' : 'everything'
}

async function removeIt(): Promise<void> {
  if (await remove(named.value)) await router.push('/sessions')
}
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!session" class="text-slate">{{ t('fetching_the_results') }}</p>
    <template v-else>
      <div class="mb-4 flex flex-wrap items-start gap-3">
        <div class="min-w-0 grow basis-80">
          <SessionTitle :id="id" :title="session.report.title" :note="session.note" />
          <p class="text-slate">
            {{ when
            }}<template v-if="session.set !== null && session.version !== null">
              ·
              <button type="button" class="font-bold text-tide hover:underline" @click="showsSet = true">
                {{ t('how_it_was_run_2') }}
              </button></template
            >
          </p>
        </div>
        <RouterLink v-if="session.work" :to="`/work/${session.work}`" :class="button('main')">{{
          t('who_has_done_it')
        }}</RouterLink>
        <RouterLink v-else-if="!session.ended_at" :to="`/desk/${id}`" :class="button('main')">{{
          t('to_the_desk')
        }}</RouterLink>
        <a
          :href="`/api/sessions/${id}/workbook.xlsx?counting=${view.counting}`"
          :class="button('plain')"
          download
          >{{ t('workbook_xlsx') }}</a
        >
        <TakeOut :session="id" :counting="view.counting" :ended="!!session.ended_at" />
        <Menu v-if="session.ended_at" as="div" class="relative">
          <MenuButton
            class="size-10 rounded text-xl text-slate hover:text-ink"
            :aria-label="t('more_for_this_session')"
            >⋯</MenuButton
          >
          <MenuItems :class="menuPanel" class="end-0">
            <UiMenuAction v-if="session.set !== null" @act="router.push(`/work/give?session=${id}`)">{{
              t('set_it_as_work')
            }}</UiMenuAction>
            <template v-if="!session.work">
              <UiMenuAction v-if="session.archived" @act="archive(named, false)">{{
                t('put_back_into_the_list')
              }}</UiMenuAction>
              <UiMenuAction v-else @act="archive(named, true)">{{ t('archive') }}</UiMenuAction>
              <UiMenuAction danger @act="removeIt">{{ common('delete_it') }}</UiMenuAction>
            </template>
          </MenuItems>
        </Menu>
      </div>
      <EmptyNote
        v-if="!session.report.took_part && !view.of_class && !view.group"
        :title="t('nothing_to_read_yet')"
      >
        {{ t('nobody_took_part_in_this_session') }}
      </EmptyNote>
      <EmptyNote
        v-else-if="!session.report.questions.length && !view.topic"
        :title="t('nothing_to_read_yet')"
      >
        {{ t('no_question_was_asked') }}
      </EmptyNote>
      <template v-else>
        <p
          v-if="session.report.marked_otherwise"
          class="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 rounded border border-lamp-ink bg-lamp-wash px-4 py-2.5 text-lamp-ink"
        >
          <span class="min-w-0 grow basis-96">
            {{ t('this_session_keeps_the_marks', { otherwise }) }}
          </span>
          <UiButton look="plain" size="small" :disabled="busy" @click="command({ do: 'mark_anew' })">{{
            t('mark_anew')
          }}</UiButton>
        </p>
        <p
          v-if="session.report.waiting"
          class="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 rounded border border-lamp-ink bg-lamp-wash px-4 py-2.5 text-lamp-ink"
        >
          <span class="min-w-0 grow basis-96">{{ waiting }}</span>
          <RouterLink :to="`/sessions/${id}/marking`" :class="button('plain', 'small')">{{
            t('mark_them')
          }}</RouterLink>
        </p>
        <p
          v-if="session.set_aside.length"
          class="mb-4 rounded border border-lamp-ink bg-lamp-wash px-4 py-2.5 text-lamp-ink"
        >
          {{ t('events_of_this_session_could', { n: session.set_aside.length }) }}
        </p>
        <SessionParts v-model="view" :parts="session.parts" class="mb-3" />
        <SessionFigures :report="session.report" />
        <div class="mt-2 grid gap-x-8 gap-y-2 lg:grid-cols-2">
          <div>
            <WhoWasThere :attendance="session.report.attendance" />
            <DoneLater :later="session.later" />
            <p class="text-[15px] text-slate">
              {{ told(session.report.counted) }}
              <button type="button" class="font-bold text-tide hover:underline" @click="turnCounting">
                {{
                  view.counting === 'everything'
                    ? t('count_only_what_was_asked_since')
                    : t('count_everything_asked')
                }}
              </button>
            </p>
          </div>
          <ReliabilityNote v-if="session.report.top_score > 1" :reliability="session.report.reliability" />
        </div>
        <div
          class="mt-4.5 grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(24rem,40%)_minmax(0,1fr)]"
        >
          <TeachAgain
            :session="id"
            :report="session.report"
            :teach="session.teach"
            :group-names="session.parts.groups"
          />
          <SessionGrid v-model:view="view" :session="id" :report="session.report" :hardest="hardest" />
        </div>
      </template>
      <SessionHappened :session="id" :set-aside="session.set_aside" />
      <CorrectionPreview />
      <FrozenSet
        v-if="showsSet"
        :set="session.set!"
        :version="session.version!"
        :settings="session.settings"
        :game="session.game"
        @close="showsSet = false"
      />
    </template>
  </div>
</template>
