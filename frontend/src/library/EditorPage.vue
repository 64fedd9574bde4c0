<script setup lang="ts">
import { useMediaQuery, useMousePressed, useTitle } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { sentenceOf } from '@/told'
import type { Item, Kind } from '@/api/types'
import { GridDialog } from '@/exchange'
import { RunDialog } from '@/live/run'
import { KINDS, registry, viewsOf } from '@/questions/registry'
import { allRead, unread } from '@/ui/number/typedNumber'
import { provideLanguage } from '@/ui/setLanguage'
import UiButton from '@/ui/UiButton.vue'
import AboutSet from './AboutSet.vue'
import EditorRail from './EditorRail.vue'
import ItemBlock from './ItemBlock.vue'
import KindMenu from './KindMenu.vue'
import RecastDialog from './RecastDialog.vue'
import RevisionsDialog from './RevisionsDialog.vue'
import SelectionBar from './SelectionBar.vue'
import { useEditorKeys } from './useEditorKeys'
import { useSetEditor } from './useSetEditor'
import { t } from './words'
import { t as common } from '@/ui/words'

const route = useRoute()
const router = useRouter()
const setId = Number(route.params.id)
const editor = useSetEditor(setId)
const { draft, problems, conflicts, state, ready, loadError } = editor
const active = ref('')
const entered = ref('')
const { pressed } = useMousePressed()

/** An item unfolds when the pointer is let go: till then, what was pressed stays under it. */
function enter(id: string): void {
  if (pressed.value) entered.value = id
  else active.value = id
}

watch(pressed, (isHeld) => {
  if (isHeld || !entered.value) return
  active.value = entered.value
  entered.value = ''
})
const prefersStill = useMediaQuery('(prefers-reduced-motion: reduce)')
const running = ref(false)
const showsRevisions = ref(false)
const selected = ref<ReadonlySet<string>>(new Set())
const recasting = shallowRef<Item[] | null>(null)
const showsGrid = ref(false)
const page = ref<HTMLElement>()

provideLanguage(() => draft.value.about.language ?? '')

useTitle(computed(() => common('page_title', { title: draft.value.title || common('untitled_set') })))

const numbers = computed(() => {
  let number = 0
  return draft.value.items.map((item) => (viewsOf(item).isAsked ? ++number : null))
})

const STATES = {
  saved: t('all_changes_kept'),
  saving: t('keeping_your_changes'),
  offline: t('no_connection'),
  refused: t('not_kept_yet'),
}

/** A number that is typed and not read yet is not kept yet. */
const kept = computed(() => (unread.value && state.value === 'saved' ? 'saving' : state.value))

const FIRST_KIND = KINDS.find((kind) => registry[kind].isAsked)!

/** The next question is of the kind one is writing just now. */
function usualKind(): Kind {
  const current = draft.value.items.find((item) => item.id === active.value)
  return current && viewsOf(current).isAsked ? current.kind : FIRST_KIND
}

/** Puts the cursor into an item's first line, or into the line that `field` (a dotted path) tells of. */
async function goTo(id: string, field = ''): Promise<void> {
  active.value = id
  await nextTick()
  const block = page.value?.querySelector<HTMLElement>(`[data-item="${id}"]`)
  const line = field.match(/^\w+\.(\d+)$/)?.[1]
  const lines = block?.querySelectorAll<HTMLElement>('[data-own-line] textarea') ?? []
  const place = (line && lines[Number(line)]) || block?.querySelector<HTMLElement>('textarea')
  place?.focus()
  block?.scrollIntoView({ block: 'nearest', behavior: prefersStill.value ? 'auto' : 'smooth' })
}

/** Questions that were just made: nothing is said against one before it has been left. */
const fresh = ref<ReadonlySet<string>>(new Set())

function add(kind: Kind, after?: string): void {
  const id = editor.add(kind, after)
  fresh.value = new Set([id])
  void goTo(id)
}

function leave(id: string, event: FocusEvent): void {
  const to = event.relatedTarget as Node | null
  const isElsewhere = to && !(event.currentTarget as HTMLElement).contains(to)
  if (isElsewhere && fresh.value.has(id)) fresh.value = new Set()
}

watch(active, (now) => {
  if (!fresh.value.has(now)) fresh.value = new Set()
})

/** Somebody was sent here to settle something. */
watch(
  () => [ready.value, route.query.at] as const,
  ([isReady, at]) => isReady && at && void goTo(String(at), String(route.query.field ?? '')),
  { immediate: true },
)

function duplicate(id: string): void {
  void goTo(editor.duplicate(id))
}

async function move(id: string, offset: number): Promise<void> {
  const focused = document.activeElement as HTMLElement | null
  editor.move(id, offset)
  await nextTick()
  focused?.focus()
  focused?.scrollIntoView({ block: 'nearest' })
}

function select(id: string, on: boolean): void {
  const next = new Set(selected.value)
  if (on) next.add(id)
  else next.delete(id)
  selected.value = next
}

async function asText(): Promise<void> {
  await allRead()
  await editor.sendNow()
  await router.push(`/sets/${setId}/text`)
}

function addMade(items: Item[]): void {
  recasting.value = null
  editor.append(items)
  if (items[0]) void goTo(items[0].id)
}

async function run(): Promise<void> {
  await allRead()
  await editor.sendNow()
  running.value = true
}

useEditorKeys({
  editor,
  active,
  add: () => add(usualKind(), active.value || undefined),
  duplicate,
  asText,
  move,
})
</script>

<template>
  <p v-if="loadError" role="alert" class="px-8 py-10 text-lg">{{ sentenceOf(loadError) }}</p>
  <div
    v-else-if="ready"
    ref="page"
    class="grid min-h-[calc(100vh-3.25rem)] grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_17rem]"
  >
    <div class="px-4 py-6 md:px-7">
      <div class="mx-auto max-w-4xl">
        <div class="mb-4 flex flex-wrap items-baseline gap-x-4 ps-3">
          <h1 class="grow text-3xl">
            <span class="sr-only">{{ t('title_of_the_set') }}</span>
            <input
              :value="draft.title"
              :dir="draft.title ? 'auto' : undefined"
              :lang="(draft.title && draft.about.language) || undefined"
              :aria-label="t('title_of_the_set')"
              maxlength="200"
              :placeholder="common('untitled_set')"
              class="w-full rounded bg-transparent px-1.5 py-0.5 hover:bg-sheet focus:bg-sheet"
              @input="editor.setTitle(($event.target as HTMLInputElement).value)"
              @keydown.enter="draft.items[0] && goTo(draft.items[0].id)"
            />
          </h1>
          <p
            role="status"
            class="text-[15px]"
            :class="state === 'offline' || state === 'refused' ? 'text-wrong' : 'text-slate'"
          >
            {{ STATES[kept] }}<template v-if="state === 'refused'">: {{ editor.refusal.value }}</template>
          </p>
        </div>

        <AboutSet
          :about="draft.about"
          :made-from="editor.madeFrom.value"
          :is-private="editor.isPrivate.value"
          @update="editor.setAbout"
          @private="editor.setPrivacy"
        />
        <p v-if="editor.isEmpty.value" class="mb-4 ps-4.5 text-lg text-slate">
          {{ t('nothing_here_yet_add_a_question') }}
        </p>
        <ItemBlock
          v-for="(item, index) in draft.items"
          :key="item.id"
          :set="setId"
          :item="item"
          :number="numbers[index] ?? null"
          :active="active === item.id"
          :problems="
            fresh.has(item.id) ? [] : problems.filter((one) => one.item === item.id).map((one) => one.problem)
          "
          @focusout="leave(item.id, $event)"
          :conflict="conflicts.get(item.id)"
          :first="index === 0"
          :last="index === draft.items.length - 1"
          @focusin="enter(item.id)"
          @update="editor.update"
          @duplicate="duplicate(item.id)"
          :selected="selected.has(item.id)"
          @move="move(item.id, $event)"
          @turn="editor.turn(item.id, $event)"
          @select="select(item.id, $event)"
          @remove="editor.remove(item.id)"
          @settle="editor.settle(item.id, $event)"
        />
        <div class="mt-4 flex gap-3 ps-3">
          <UiButton look="main" :hint="t('ctrl_enter')" @click="add(usualKind())">{{
            t('question')
          }}</UiButton>
          <KindMenu :label="t('another_kind')" :kinds="KINDS" @choose="add($event)" />
        </div>
      </div>
    </div>
    <EditorRail
      :editor="editor"
      :numbers="numbers"
      :active="active"
      :fresh="fresh"
      @go="goTo"
      @run="run"
      @revisions="showsRevisions = true"
      @text="asText"
      @recast="recasting = draft.items"
      @grid="showsGrid = true"
    />
    <SelectionBar
      v-if="selected.size"
      :editor="editor"
      :selected="selected"
      :set="setId"
      @clear="selected = new Set()"
      @recast="recasting = draft.items.filter((item) => selected.has(item.id))"
    />
    <GridDialog v-if="showsGrid" :set="setId" :title="draft.title" @close="showsGrid = false" />
    <RecastDialog
      v-if="recasting"
      :items="recasting"
      :language="draft.about.language ?? ''"
      @add="addMade"
      @close="recasting = null"
    />
    <RevisionsDialog
      v-if="showsRevisions"
      :set="setId"
      @brought-back="editor.reload"
      @close="showsRevisions = false"
    />
    <RunDialog v-if="running" :set="setId" :title="draft.title" @close="running = false" />
  </div>
  <p v-else class="px-8 py-10 text-slate">{{ t('opening_the_set') }}</p>
</template>
