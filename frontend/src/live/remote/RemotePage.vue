<script setup lang="ts">
/** To lead from the middle of the room, with one hand: what is on stands above, what is done next under the thumb. */
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { RemoteView } from '@/api/types'
import { clockTime, duration, percent } from '@/composables/format'
import AsyncView from '@/questions/shared/AsyncView.vue'
import LineText from '@/questions/shared/LineText.vue'
import { plainText } from '@/questions/shared/richtext'
import { quickItem } from '../desk/quick'
import { useRemote } from './useRemote'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const props = defineProps<{ token: string }>()
const remote = useRemote(props.token)
const { view, time, status, gone, failure, can, command, step } = remote
useTitle(computed(() => common('page_title', { title: t('remote_of', { title: view.value?.title ?? '…' }) })))

const MOVES: Record<RemoteView['next'], string> = {
  next: t('next'),
  close: t('close_the_question'),
  reveal: t('show_what_is_right'),
  standings: t('show_the_standings'),
  vote_again: t('vote_again'),
  resume: t('go_on'),
  collect: t('take_all_papers_in'),
  open_feedback: t('let_them_see_what_was_right'),
  ask_now: t('ask_with_letters_a_to_e'),
  end: t('end_the_session'),
}
const label = computed(() => {
  const now = view.value
  if (!now) return ''
  return now.phase === 'lobby' && now.next === 'next' && !now.stopped ? t('start') : MOVES[now.next]
})
/** What cannot be undone is asked for twice. */
const asks = computed(() => ['end', 'collect'].includes(view.value?.next ?? ''))
const isSure = ref(false)
const replying = ref<number | null>(null)
const reply = ref('')

async function next(): Promise<void> {
  if (!view.value || remote.pending.value) return
  if (asks.value && !isSure.value) return void (isSure.value = true)
  isSure.value = false
  if (view.value.next === 'ask_now')
    await command({ do: 'ask_now', step: step(), item: quickItem('letters', '', 5) })
  else await command({ do: 'advance', step: step() })
}
async function nextForm(): Promise<void> {
  const { forms, shown } = view.value!
  const form = forms[(forms.indexOf(shown!.form!) + 1) % forms.length]!
  await command({ do: 'set_form', item: shown!.item.id, form })
}
async function answerNote(id: number, seat: number): Promise<void> {
  const said = !reply.value.trim() || (await command({ do: 'write', text: reply.value, seat }))
  if (said && (await command({ do: 'note_done', note: id }))) {
    replying.value = null
    reply.value = ''
  }
}

const shown = computed(() => view.value?.shown ?? null)
const isAsked = computed(() => !!shown.value?.number)
const head = computed(() => {
  const now = view.value
  if (!now) return ''
  if (now.stopped) return now.stopped === 'today' ? t('closed_for_today') : t('paused')
  const parts = isAsked.value
    ? [t('question_of', { number: shown.value!.number ?? '', questions: now.questions })]
    : []
  const left = time.seconds.value
  if (now.phase === 'open' && left !== null) parts.push(t('left', { time: duration(left) }))
  else if (now.phase === 'open' && shown.value?.asked_now) parts.push(clockTime(time.passed.value))
  else if (now.phase === 'talk')
    parts.push(t('they_talk', { left: left === null ? '' : t('left_2', { time: duration(left) }) }))
  else if (now.phase !== 'open') parts.push(now.phase === 'ended' ? t('the_session_has_ended') : now.phase)
  return parts.join(' · ')
})
const small =
  'min-h-14 grow basis-0 rounded border border-ink bg-sheet px-2 text-[17px] leading-tight font-bold disabled:opacity-45'
</script>

<template>
  <main v-if="gone" class="p-6 text-lg" role="alert">
    <h1 class="mb-3 text-3xl">{{ t('remote') }}</h1>
    <p>{{ told(gone) }}</p>
  </main>
  <main v-else-if="!view" class="p-6 text-slate" role="status">
    {{ status === 'offline' ? t('there_is_no_connection') : t('connecting') }}
  </main>
  <div v-else class="grid min-h-dvh grid-rows-[auto_1fr_auto]">
    <header class="on-dark flex items-baseline gap-3 bg-hull px-4 py-2.5 text-spray">
      <p class="min-w-0 grow truncate font-bold text-foam">{{ view.title }}</p>
      <p v-if="status !== 'online'" class="rounded bg-lamp px-2 font-bold text-ink" role="status">
        {{ t('no_connection') }}
      </p>
      <p class="whitespace-nowrap">{{ t('here', { here: view.here }) }}</p>
    </header>
    <main class="min-h-0 space-y-3 px-4 py-3">
      <p class="text-[15px] text-slate first-letter:uppercase" role="status">{{ head }}</p>
      <template v-if="shown && view.phase !== 'ended'">
        <h1 class="line-clamp-3 text-xl">
          <LineText
            :text="plainText(shown.item.prompt_html) || t('asked_aloud')"
            :lang="(shown.item.prompt_html && shown.item.language) || undefined"
          />
        </h1>
        <p v-if="isAsked" class="figure text-xl">
          {{ view.answered }} / {{ view.people }}
          <span class="font-text text-[15px] font-normal text-slate">{{ t('answered') }}</span>
          <template v-if="view.right_share !== null">
            · {{ percent(view.right_share) }}
            <span class="font-text text-[15px] font-normal text-slate">{{ t('right') }}</span>
          </template>
        </p>
        <p v-if="view.suggestion" class="border-s-4 border-lamp ps-3">{{ told(view.suggestion) }}</p>
        <AsyncView
          v-if="isAsked"
          :kind="shown.item.kind"
          part="result"
          :item="shown.item"
          :tally="shown.tally ?? null"
          :form="shown.form"
          :answer-key="shown.key ?? null"
          class="text-[15px]"
        />
      </template>
      <p v-else-if="view.phase === 'lobby'" class="text-lg">
        {{ t('students_in_the_lobby', { n: view.people }) }}
      </p>
      <section
        v-if="view.notes.length"
        :aria-label="t('notes')"
        class="divide-y divide-rule border-y border-rule"
      >
        <div v-for="note in view.notes" :key="note.id" class="py-2">
          <p class="wrap-anywhere" dir="auto">
            <b>{{ note.name }}:</b> {{ note.text }}
          </p>
          <form
            v-if="replying === note.id"
            class="mt-1 flex gap-2"
            @submit.prevent="answerNote(note.id, note.seat)"
          >
            <input
              v-model="reply"
              maxlength="300"
              dir="auto"
              :aria-label="t('reply_to', { name: note.name })"
              class="min-h-12 min-w-0 grow rounded border border-edge bg-sheet px-3"
            />
            <button type="submit" class="min-h-12 rounded bg-tide px-4 font-bold text-sheet">
              {{ t('send') }}
            </button>
          </form>
          <p v-else class="flex gap-5">
            <button type="button" class="min-h-11 font-bold text-tide" @click="replying = note.id">
              {{ t('reply') }}
            </button>
            <button
              type="button"
              class="min-h-11 font-bold text-tide"
              @click="command({ do: 'note_done', note: note.id })"
            >
              {{ t('done') }}
            </button>
          </p>
        </div>
      </section>
    </main>
    <footer class="sticky bottom-0 space-y-2 border-t border-ink bg-sheet px-3 py-3">
      <p v-if="failure" role="alert" class="text-wrong">{{ failure }}</p>
      <div class="flex gap-2">
        <button
          v-if="can('set_curtain')"
          type="button"
          :class="small"
          :aria-pressed="view.curtain"
          @click="command({ do: 'set_curtain', drawn: !view.curtain })"
        >
          {{ view.curtain ? t('lift_the_curtain') : t('curtain') }}
        </button>
        <button v-if="can('set_form')" type="button" :class="small" @click="nextForm">
          {{ t('other_form') }}
        </button>
        <button
          v-if="can('talk')"
          type="button"
          :class="small"
          @click="command({ do: 'talk', step: step(), seconds: 120 })"
        >
          {{ t('talk_it_over') }}
        </button>
        <button
          v-if="can('add_time')"
          type="button"
          :class="small"
          @click="command({ do: 'add_time', seconds: 15 })"
        >
          +15 s
        </button>
        <button
          v-if="can('pause')"
          type="button"
          :class="small"
          @click="command({ do: 'pause', for_today: false })"
        >
          {{ t('pause') }}
        </button>
      </div>
      <button
        v-if="view.phase !== 'ended'"
        type="button"
        class="min-h-20 w-full rounded bg-tide px-4 text-xl font-bold text-sheet aria-disabled:opacity-60"
        :aria-disabled="remote.pending.value > 0"
        @click="next"
      >
        {{ isSure ? t('sure', { label }) : asks ? `${label}…` : label }}
      </button>
      <button v-if="isSure" type="button" class="min-h-12 w-full font-bold text-tide" @click="isSure = false">
        {{ common('not_now') }}
      </button>
    </footer>
  </div>
</template>
