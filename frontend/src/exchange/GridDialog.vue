<script setup lang="ts">
/** A crossword or a word search of a set: looked at, made another, taken out to print. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf, told } from '@/told'
import { percent } from '@/composables/format'
import { button, smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ set: number; title: string }>()
const emit = defineEmits<{ close: [] }>()

const KINDS = [
  ['crossword', t('crossword')],
  ['word_search', t('word_search')],
] as const
const DIRECTIONS = [
  ['straight', t('to_the_right_and_down')],
  ['slopes', t('slopes_too')],
  ['backwards', t('in_every_direction')],
] as const
const PAPERS = [
  ['a4', 'A4'],
  ['us-letter', t('letter')],
] as const
const kind = ref<(typeof KINDS)[number][0]>('crossword')
const directions = ref<(typeof DIRECTIONS)[number][0]>('straight')
const paper = ref<(typeof PAPERS)[number][0]>('a4')
const seed = ref(1)
const solved = ref(false)

const wanted = computed(() => ({ kind: kind.value, seed: String(seed.value), directions: directions.value }))
const found = useQuery({
  queryKey: ['grid', props.set, wanted],
  queryFn: () => {
    const { kind: of, ...query } = wanted.value
    const params = { path: { set_id: props.set, kind: of }, query }
    return data(api.GET('/api/exchange/sets/{set_id}/grids/{kind}', { params }))
  },
  placeholderData: keepPreviousData,
  retry: false,
  gcTime: 0,
})
const query = computed(() => {
  const { seed: number, directions: ways } = wanted.value
  return new URLSearchParams({ seed: number, directions: ways, solved: String(solved.value) })
})
const place = computed(() => `/api/exchange/sets/${props.set}/grids/${kind.value}`)
const picture = computed(() => `${place.value}/grid.svg?${query.value}`)
const page = computed(() => `${place.value}/page.pdf?${query.value}&paper=${paper.value}`)
const extent = computed(() => {
  const { words, score } = found.data.value!
  return score === null || score === undefined
    ? `${common('n_words', { n: words })}.`
    : t('words_of_the_letters_cross', { n: words, share: percent(score) })
})
</script>

<template>
  <UiDialog
    open
    wide
    :title="t('a_grid_of', { title: title || common('untitled_set') })"
    @close="emit('close')"
  >
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <fieldset class="flex flex-wrap gap-x-4">
        <legend class="sr-only">{{ t('what_it_is') }}</legend>
        <label v-for="[value, words] in KINDS" :key="value" class="inline-flex min-h-8 items-center gap-2">
          <input v-model="kind" type="radio" name="grid" :value="value" class="size-4 accent-tide" />{{
            words
          }}
        </label>
      </fieldset>
      <label v-if="kind === 'word_search'" class="flex items-center gap-2"
        >{{ t('words_run') }}
        <select v-model="directions" :class="smallField">
          <option v-for="[value, words] in DIRECTIONS" :key="value" :value="value">{{ words }}</option>
        </select>
      </label>
    </div>
    <p v-if="found.error.value" role="alert" class="mt-4 text-wrong">{{ sentenceOf(found.error.value) }}</p>
    <template v-else-if="found.data.value">
      <div class="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        <p role="status">{{ extent }}</p>
        <UiButton size="small" @click="seed += 1">{{ t('another_one') }}</UiButton>
        <label class="inline-flex min-h-8 items-center gap-2"
          ><input v-model="solved" type="checkbox" class="size-5 accent-tide" />{{
            t('with_the_answers')
          }}</label
        >
      </div>
      <div class="mt-3 flex justify-center rounded border border-rule bg-sheet p-3">
        <img
          :src="picture"
          :alt="kind === 'crossword' ? t('the_crossword') : t('the_word_search')"
          class="max-h-[46vh] max-w-full"
        />
      </div>
      <details v-if="found.data.value.left.length" class="mt-2 text-[15px]">
        <summary class="min-h-8 cursor-pointer py-1">
          {{ t('others_not_in_it_and_why', { n: found.data.value.left.length }) }}
        </summary>
        <ul class="ms-5 list-disc">
          <li v-for="(one, index) in found.data.value.left" :key="index" class="wrap-anywhere">
            {{ one.text }}: {{ told(one.why).replace(/\.$/, '') }}
          </li>
        </ul>
      </details>
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <a :class="button('main')" :href="page" download>{{ t('page_with_clues_pdf') }}</a>
        <label class="flex items-center gap-2"
          ><span class="sr-only">{{ t('paper') }}</span>
          <select v-model="paper" :class="smallField">
            <option v-for="[value, words] in PAPERS" :key="value" :value="value">{{ words }}</option>
          </select>
        </label>
        <a :class="button('plain')" :href="picture" download>{{ t('grid_alone_svg') }}</a>
        <span class="grow" />
        <UiButton look="quiet" @click="emit('close')">{{ common('close') }}</UiButton>
      </div>
    </template>
    <p v-else class="py-6 text-slate" role="status">{{ t('looking_for_words_that_cross') }}</p>
  </UiDialog>
</template>
