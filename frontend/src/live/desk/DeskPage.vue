<script setup lang="ts">
/** What a teacher glances at while talking: the run order, the question, the people. */
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useKeys } from '@/composables/useKeys'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import AskNow from './AskNow.vue'
import BigScreenDialog from './BigScreenDialog.vue'
import CloseForToday from './CloseForToday.vue'
import DeskBar from './DeskBar.vue'
import DeskFault from './DeskFault.vue'
import DeskGame from './DeskGame.vue'
import DeskHead from './DeskHead.vue'
import DeskKeys from './DeskKeys.vue'
import DeskLobby from './DeskLobby.vue'
import DeskNotes from './DeskNotes.vue'
import DeskPeople from './DeskPeople.vue'
import DeskProgress from './DeskProgress.vue'
import DeskQuestion from './DeskQuestion.vue'
import DeskRun from './DeskRun.vue'
import DeskWork from './DeskWork.vue'
import { hideOrShow } from './hiding'
import KeepAsked from './KeepAsked.vue'
import { openBigScreen } from './screenWindow'
import RemoteDialog from './RemoteDialog.vue'
import { useDesk } from './useDesk'
import WriteDialog, { type WrittenTo } from './WriteDialog.vue'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const router = useRouter()
const sessionId = Number(useRoute().params.id)
const desk = useDesk(sessionId)
const { view, status, gone } = desk
const asking = ref<'end' | 'collect' | 'keys' | 'notes' | 'now' | 'screen' | 'remote' | 'today' | null>(null)
const writing = ref<WrittenTo | null>(null)
const everybody = { seat: null, name: t('everybody') }
const isOwnPace = computed(() => view.value?.settings.manner === 'own_pace')
const works = computed(() => isOwnPace.value && view.value?.phase === 'working')

useTitle(computed(() => common('page_title', { title: t('desk_of', { title: view.value?.title ?? '…' }) })))

function next(): void {
  if (desk.pending.value) return
  if (view.value?.phase === 'ended') void router.push(`/sessions/${sessionId}`)
  else if (view.value?.next === 'ask_now') asking.value = 'now'
  else if (view.value?.next === 'end') asking.value = 'end'
  else if (view.value?.next === 'collect') asking.value = 'collect'
  else void desk.advance()
}

async function end(): Promise<void> {
  asking.value = null
  await desk.end()
}

async function collect(): Promise<void> {
  asking.value = null
  await desk.collect()
}

const goTo = (item: string | null | undefined): void => void (item && desk.goTo(item))

useKeys({
  ' ': next,
  c: () => void (desk.can('set_curtain') && desk.toggleCurtain()),
  ArrowLeft: () => goTo(view.value?.previous),
  ArrowRight: () => goTo(view.value?.following),
  h: hideOrShow,
  r: () => void (desk.can('set_form') && desk.nextForm()),
  n: () => void (desk.can('ask_now') && (asking.value = 'now')),
  v: () => {
    if (desk.can('talk')) void desk.talk(120)
    else if (view.value?.phase === 'talk') void desk.advance()
  },
  '?': () => (asking.value = 'keys'),
})
</script>

<template>
  <div v-if="gone" class="mx-auto max-w-xl px-6 py-16 text-lg" role="alert">
    <DeskFault v-if="gone.family === 'faulty_session'" :session="sessionId" :sentence="told(gone)" />
    <p v-else>{{ told(gone) }}</p>
    <RouterLink
      v-if="gone.code === 'signed_out'"
      :to="{ path: '/sign-in', query: { next: `/desk/${sessionId}` } }"
      class="mt-3 inline-block font-bold text-tide underline"
      >{{ t('sign_in') }}</RouterLink
    >
    <RouterLink v-else to="/sets" class="mt-4 block w-fit font-bold text-tide underline">{{
      t('go_to_your_sets')
    }}</RouterLink>
  </div>
  <div
    v-else-if="view"
    class="grid min-h-screen grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] lg:h-screen"
  >
    <DeskHead :view="view" :status="status" @screen="openBigScreen(sessionId)" @notes="asking = 'notes'" />
    <div v-if="works" class="grid min-h-0 grid-cols-[minmax(0,1fr)] lg:grid-cols-[14.5rem_minmax(0,1fr)]">
      <DeskRun :view="view" />
      <div class="flex min-h-0 min-w-0 flex-col border-rule bg-sheet lg:border-s">
        <DeskWork :view="view" :now="desk.time.now.value" />
        <DeskProgress
          :view="view"
          :desk="desk"
          :now="desk.time.now.value"
          class="grow"
          @write="writing = $event"
        />
      </div>
    </div>
    <div
      v-else
      class="grid min-h-0 grid-cols-[minmax(0,1fr)] lg:grid-cols-[14.5rem_minmax(0,1fr)_minmax(24rem,31%)]"
    >
      <DeskRun :view="view" @go="goTo" />
      <section
        :aria-label="t('what_is_on_now')"
        class="min-h-0 overflow-y-auto border-rule px-6 py-5 lg:border-x"
      >
        <DeskLobby v-if="view.phase === 'lobby'" :view="view" :info="desk.info.value" />
        <div v-else-if="view.phase === 'ended'" class="text-lg">
          <h1 class="mb-2 text-3xl">{{ t('the_session_has_ended') }}</h1>
          <p>{{ t('everything_is_kept_students_see') }}</p>
          <DeskGame :view="view" :desk="desk" class="mt-4 text-base" />
          <KeepAsked :view="view" :session="sessionId" class="mt-4" />
          <p v-if="desk.can('open_feedback')" class="mt-3">{{ t('they_do_not_see_yet') }}</p>
          <div class="mt-5 flex flex-wrap gap-3">
            <UiButton look="main" size="large" @click="router.push(`/sessions/${sessionId}`)">{{
              t('see_the_results')
            }}</UiButton>
            <UiButton v-if="desk.can('open_feedback')" size="large" @click="desk.openFeedback()">{{
              t('let_them_see_what_was_right')
            }}</UiButton>
            <UiButton size="large" @click="desk.openAgain()">{{ t('it_was_a_mistake_go_on') }}</UiButton>
          </div>
        </div>
        <template v-else>
          <h1 v-if="!view.shown" class="mb-3 text-xl">{{ t('nothing_has_been_asked_yet') }}</h1>
          <DeskGame v-if="!view.stopped" :view="view" :desk="desk" />
          <DeskQuestion
            v-if="view.shown"
            :view="view"
            :seconds="view.stopped ? null : desk.time.seconds.value"
            :passed="desk.time.passed.value"
            :desk="desk"
            @form="desk.setForm(view.shown!.item.id, $event)"
            @key="desk.setKey(view.shown!.item.id, $event)"
            @part="desk.keepApart(view.shown!.item.id, $event)"
            @undo="desk.takeBack(view.shown!.item.id)"
          />
        </template>
      </section>
      <DeskProgress
        v-if="isOwnPace && view.phase === 'ended'"
        :view="view"
        :desk="desk"
        :now="desk.time.now.value"
        @write="writing = $event"
      />
      <DeskPeople v-else :view="view" :desk="desk" @write="writing = $event" />
    </div>
    <DeskBar
      :view="view"
      :desk="desk"
      :now="desk.time.now.value"
      @next="next"
      @ask="asking = 'now'"
      @end="asking = 'end'"
      @keys="asking = 'keys'"
      @write="writing = everybody"
      @screen="asking = 'screen'"
      @remote="asking = 'remote'"
      @today="asking = 'today'"
    />
    <CloseForToday
      :open="asking === 'today'"
      :session="sessionId"
      :title="view.title"
      :desk="desk"
      @close="asking = null"
    />
    <RemoteDialog :open="asking === 'remote'" :session="sessionId" @close="asking = null" />
    <BigScreenDialog :open="asking === 'screen'" @close="asking = null" @screen="openBigScreen(sessionId)" />
    <AskNow v-if="asking === 'now'" :desk="desk" @close="asking = null" />
    <DeskNotes :open="asking === 'notes'" :view="view" :desk="desk" @close="asking = null" />
    <WriteDialog :to="writing" :desk="desk" @close="writing = null" />
    <UiDialog :open="asking === 'collect'" :title="t('take_all_papers_in_2')" @close="asking = null">
      <p>{{ t('every_paper_is_handed') }}</p>
      <p class="mt-2 text-slate">
        {{ t('still_work_on_theirs', { handed_in: view.begun - view.handed_in }) }}
      </p>
      <div class="mt-5 flex gap-3">
        <UiButton look="main" @click="collect">{{ t('take_them_in') }}</UiButton>
        <UiButton @click="asking = null">{{ t('let_them_go_on') }}</UiButton>
      </div>
    </UiDialog>
    <UiDialog :open="asking === 'end'" :title="t('end_this_session')" @close="asking = null">
      <p>{{ t('students_see_the_end') }}</p>
      <div class="mt-5 flex gap-3">
        <UiButton look="main" @click="end">{{ t('end_the_session_2') }}</UiButton>
        <UiButton @click="asking = null">{{ t('go_on_with_it') }}</UiButton>
      </div>
    </UiDialog>
    <DeskKeys :open="asking === 'keys'" @close="asking = null" />
  </div>
  <p v-else class="px-8 py-10 text-slate" role="status">
    {{ status === 'offline' ? t('there_is_no_connection') : t('opening_the_desk') }}
  </p>
</template>
