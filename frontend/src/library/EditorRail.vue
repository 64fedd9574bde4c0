<script setup lang="ts">
/** What is in the set, and what has still to be settled before it can run. */
import { computed } from 'vue'
import LineText from '@/questions/shared/LineText.vue'
import { plainText } from '@/questions/shared/richtext'
import { useLanguage } from '@/ui/setLanguage'
import UiButton from '@/ui/UiButton.vue'
import type { SetEditor } from './useSetEditor'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const props = defineProps<{
  editor: SetEditor
  numbers: (number | null)[]
  active: string
  /** Questions that are being written for the first time. */
  fresh: ReadonlySet<string>
}>()
const emit = defineEmits<{
  go: [id: string, field?: string]
  run: []
  revisions: []
  text: []
  recast: []
  grid: []
}>()

const language = useLanguage()
const items = computed(() =>
  props.editor.draft.value.items.map((item, index) => {
    const words = plainText((item.prompt ?? '').split('\n')[0]!)
    return {
      id: item.id,
      number: props.numbers[index] ?? '–',
      title: words || (props.numbers[index] ? t('empty_question') : t('empty_page')),
      language: (words && (item.language || language())) || undefined,
    }
  }),
)
const toSettle = computed(() =>
  props.editor.problems.value
    .map(({ item, problem }) => ({
      ...problem,
      item,
      number: items.value.find((one) => one.id === item)?.number,
    }))
    .filter((one) => one.number !== undefined),
)
const toSay = computed(() => toSettle.value.filter((one) => !props.fresh.has(one.item)))
const isBlocked = computed(
  () => toSettle.value.some((one) => one.severity === 'wrong') || !items.value.length,
)
const row = 'flex w-full gap-3 rounded px-2 py-1 text-start text-[15px] leading-snug'
</script>

<template>
  <aside
    :aria-label="t('about_this_set_2')"
    class="border-t border-rule bg-sheet px-4 py-5 lg:border-t-0 lg:border-s"
  >
    <div class="lg:sticky lg:top-5">
      <div class="flex flex-wrap gap-1.5">
        <UiButton look="main" :disabled="isBlocked" @click="emit('run')">{{ t('run_it') }}</UiButton>
        <UiButton
          class="px-2.5!"
          :disabled="!editor.canUndo.value"
          :title="t('ctrl_z')"
          :aria-label="common('undo')"
          @click="editor.undo"
          >↶</UiButton
        >
        <UiButton
          class="px-2.5!"
          :disabled="!editor.canRedo.value"
          :title="t('ctrl_shift_z')"
          :aria-label="t('redo')"
          @click="editor.redo"
          >↷</UiButton
        >
      </div>
      <div class="mt-3 flex flex-wrap gap-x-4 gap-y-1 px-2 text-[15px] font-bold text-tide">
        <RouterLink v-if="items.length" :to="`${$route.path}/try`" class="hover:underline">{{
          t('try_it_as_a_student')
        }}</RouterLink>
        <RouterLink
          :to="{ path: '/bring-in', query: { into: $route.params.id as string } }"
          class="hover:underline"
          >{{ t('bring_questions_in') }}</RouterLink
        >
        <button type="button" aria-haspopup="dialog" class="hover:underline" @click="emit('revisions')">
          {{ t('earlier_versions') }}
        </button>
        <button
          type="button"
          aria-haspopup="dialog"
          class="hover:underline"
          :title="t('ctrl_e')"
          @click="emit('text')"
        >
          {{ t('as_text') }}
        </button>
        <button
          v-if="items.length"
          type="button"
          aria-haspopup="dialog"
          class="hover:underline"
          @click="emit('recast')"
        >
          {{ t('make_other_questions_of_these') }}
        </button>
        <button
          v-if="items.length"
          type="button"
          aria-haspopup="dialog"
          class="hover:underline"
          @click="emit('grid')"
        >
          {{ t('crossword_word_search') }}
        </button>
      </div>
      <h2 class="mt-5 mb-2 px-2 text-base">{{ t('in_this_set') }}</h2>
      <p v-if="!items.length" class="px-2 text-[15px] text-slate">{{ t('no_items_yet') }}</p>
      <ol>
        <li v-for="item in items" :key="item.id">
          <button
            type="button"
            :class="[row, active === item.id ? 'bg-tide-wash' : 'hover:bg-fog']"
            :aria-current="active === item.id || undefined"
            @click="emit('go', item.id)"
          >
            <span class="w-5 shrink-0 text-end font-bold text-slate">{{ item.number }}</span>
            <LineText class="truncate" :text="item.title" :lang="item.language" />
          </button>
        </li>
      </ol>
      <template v-if="items.length">
        <h2 class="mt-5 mb-2 px-2 text-base">{{ t('to_settle_before_running') }}</h2>
        <p v-if="!toSay.length" class="px-2 text-[15px] text-slate">
          {{ isBlocked ? t('only_what_you_are_writing_just') : t('nothing_it_can_run') }}
        </p>
        <ul aria-live="polite">
          <li v-for="problem in toSay" :key="problem.item + problem.field + problem.sentence">
            <button
              type="button"
              :class="[row, 'hover:bg-fog', problem.severity === 'wrong' ? 'text-wrong' : 'text-lamp-ink']"
              @click="emit('go', problem.item, problem.field)"
            >
              <span class="w-5 shrink-0 text-end font-bold">{{ problem.number }}</span>
              <span>{{ told(problem) }}</span>
            </button>
          </li>
        </ul>
        <h2 class="mt-5 mb-2 px-2 text-base">{{ t('keys') }}</h2>
        <dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 px-2 text-sm text-slate">
          <dt>{{ t('enter') }}</dt>
          <dd>{{ t('next_line') }}</dd>
          <dt>{{ t('ctrl_enter') }}</dt>
          <dd>{{ t('next_question') }}</dd>
          <dt>{{ t('ctrl_d') }}</dt>
          <dd>{{ t('duplicate') }}</dd>
          <dt>{{ t('ctrl_e_2') }}</dt>
          <dd>{{ t('the_set_as_text') }}</dd>
          <dt>Alt ↑ ↓</dt>
          <dd>{{ t('move') }}</dd>
          <dt>{{ t('ctrl_b_i') }}</dt>
          <dd>{{ t('bold_italic') }}</dd>
        </dl>
      </template>
    </div>
  </aside>
</template>
