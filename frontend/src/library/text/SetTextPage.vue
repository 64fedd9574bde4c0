<script setup lang="ts">
/** The whole set as text on one side, and what it means on the other. */
import { useEventListener, useTitle } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Item } from '@/api/types'
import ItemGlance from '@/questions/ItemGlance.vue'
import { viewsOf } from '@/questions/registry'
import { sentenceOf, told } from '@/told'
import { provideLanguage } from '@/ui/setLanguage'
import UiButton from '@/ui/UiButton.vue'
import { t as common } from '@/ui/words'
import { t } from '../words'
import TextEditor from './TextEditor.vue'
import { useSetText } from './useSetText'

interface Place {
  line: number
  item?: Item
  /** Its number among the questions; null for pages. */
  number?: number | null
  says?: string
}

const setId = Number(useRoute().params.id)
const { editor, text, read, error, found, taken, isChanged, isOpen, take, throwAway } = useSetText(setId)
const { draft, loadError } = editor
const area = useTemplateRef('area')
const list = useTemplateRef('list')
const cursor = ref(1)

provideLanguage(() => draft.value.about.language ?? '')
useTitle(computed(() => common('page_title', { title: draft.value.title || common('untitled_set') })))

const problems = computed(() =>
  (read.value?.misread ?? []).map((one) => ({ line: one.line, says: told(one.why) })),
)
const places = computed<Place[]>(() => {
  let asked = 0
  const items = ((read.value?.content.items ?? []) as Item[]).map((item, index) => ({
    line: read.value!.lines[index]!,
    item,
    number: viewsOf(item).isAsked ? ++asked : null,
  }))
  return [...items, ...problems.value].sort((one, other) => one.line - other.line)
})
/** What the cursor stands in: an item, or what is not understood. */
const current = computed(() =>
  places.value.reduce((found, one, index) => (one.line <= cursor.value ? index : found), -1),
)
watch(current, async (index) => {
  await nextTick()
  list.value?.children[index]?.scrollIntoView({ block: 'nearest' })
})

const state = computed(() => {
  if (taken.value)
    return editor.state.value === 'saved' ? t('taken_over_and_kept') : t('taken_over_not_kept_yet')
  if (problems.value.length) return t('places_not_understood_nothing_has_been', { n: problems.value.length })
  return isChanged.value ? t('understood_not_taken_over_yet') : t('this_is_how_the_set_is_now')
})

async function takeOver(): Promise<void> {
  const line = await take()
  if (line) area.value?.goTo(line)
}

useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 's') return
  event.preventDefault()
  void takeOver()
})
watch(isOpen, async () => {
  await nextTick()
  area.value?.goTo(1)
})

function download(): void {
  const url = URL.createObjectURL(new Blob([text.value], { type: 'text/markdown' }))
  const name = `${draft.value.title || common('untitled_set')}.md`
  Object.assign(document.createElement('a'), { href: url, download: name }).click()
  URL.revokeObjectURL(url)
}
</script>

<template>
  <p v-if="loadError" role="alert" class="px-8 py-10 text-lg">{{ sentenceOf(loadError) }}</p>
  <div v-else class="flex flex-col px-4 py-4 md:px-7 lg:h-[calc(100vh-3.25rem)]">
    <div class="mb-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <h1 class="text-2xl">{{ t('the_set_as_text_2') }}</h1>
      <p class="grow text-slate">
        <bdi>{{ draft.title || common('untitled_set') }}</bdi>
      </p>
      <RouterLink :to="`/sets/${setId}`" class="font-bold text-tide hover:underline">{{
        t('back_to_writing')
      }}</RouterLink>
    </div>
    <p v-if="error" role="alert" class="mb-2 text-wrong">{{ error }}</p>
    <p v-if="found" role="status" class="mb-2 border-s-6 border-lamp bg-sheet px-3 py-2">
      {{ found === 'goes_on' ? t('your_text_of_last_time_goes_on') : t('the_set_was_changed_since') }}
      <UiButton look="quiet" size="small" @click="throwAway">{{ t('throw_it_away') }}</UiButton>
    </p>
    <div
      class="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)] lg:grid-rows-[minmax(0,1fr)]"
    >
      <TextEditor
        v-if="isOpen"
        ref="area"
        v-model="text"
        class="h-[60vh] lg:h-auto"
        :label="t('the_set_as_text_2')"
        :problems="problems"
        @line="cursor = $event"
      />
      <p v-else-if="!error" class="text-slate">{{ t('opening_the_set') }}</p>
      <section v-if="isOpen" :aria-label="t('what_it_means')" class="flex min-h-0 flex-col">
        <h2 class="mb-1 text-lg">{{ t('what_it_means') }}</h2>
        <ol ref="list" tabindex="0" class="min-h-0 grow overflow-y-auto rounded border border-rule bg-sheet">
          <li
            v-for="(place, index) in places"
            :key="`${place.line}-${place.item ? 'item' : place.says}`"
            class="border-b border-rule px-3 py-2 last:border-b-0"
            :class="
              place.says
                ? 'border-s-6 border-s-wrong'
                : index === current
                  ? 'border-s-6 border-s-lamp'
                  : 'ps-4.5'
            "
            :aria-current="index === current || undefined"
          >
            <button
              v-if="place.says"
              type="button"
              class="min-h-6 text-start text-wrong underline underline-offset-2"
              @click="area?.goTo(place.line)"
            >
              {{ t('line', { line: place.line, sentence: place.says }) }}
            </button>
            <div v-else-if="place.item" class="flex gap-3">
              <button
                type="button"
                class="figure min-h-6 min-w-7 self-start text-start text-lg text-tide underline underline-offset-4"
                :aria-label="
                  t('to_its_line', {
                    name: place.number ? t('question_3', { number: place.number }) : t('the_page'),
                  })
                "
                @click="area?.goTo(place.line)"
              >
                {{ place.number ?? '–' }}
              </button>
              <div class="min-w-0 grow"><ItemGlance :item="place.item" /></div>
            </div>
          </li>
        </ol>
        <p v-if="read && !places.length" class="mt-2 text-slate">{{ t('nothing_here_as_text_yet') }}</p>
      </section>
    </div>
    <p class="mt-2 text-[15px] text-slate">{{ t('a_line_with_begins_a_question') }}</p>
    <div
      class="sticky bottom-0 mt-2 flex flex-wrap items-center gap-3 bg-fog max-lg:border-t max-lg:border-slate max-lg:py-2"
    >
      <UiButton look="main" :hint="t('ctrl_s')" :disabled="!isOpen" @click="takeOver">{{
        t('take_it_over')
      }}</UiButton>
      <p role="status" class="grow" :class="problems.length ? 'text-wrong' : 'text-slate'">{{ state }}</p>
      <UiButton look="quiet" :disabled="!isChanged" @click="throwAway">{{ t('back_to_how_it_is') }}</UiButton>
      <UiButton :disabled="!isOpen" @click="download">{{ t('save_as_a_file_md') }}</UiButton>
    </div>
  </div>
</template>
