<script setup lang="ts">
/** The lines of one class that comes in. What needs an eye is shown; the rest on request. */
import { computed, ref } from 'vue'
import { I18nT } from 'vue-i18n'
import type { Member } from '@/api/types'
import { smallField } from '@/ui/recipes'
import ListLine from './ListLine.vue'
import { isUnsettled, type Group, type Outcome } from './useBringList'
import { t } from './words'

const props = defineProps<{ members: Map<number, Member>; several: boolean }>()
const group = defineModel<Group>('group', { required: true })
const all = ref(!props.several)
const ASIDE: Outcome[] = ['new', 'same', 'twice']
const shown = computed(() =>
  all.value ? group.value.lines : group.value.lines.filter((line) => !ASIDE.includes(line.found.outcome)),
)
const NAMES: [Outcome, string][] = [
  ['new', t('are_new')],
  ['changed', t('changed')],
  ['back', t('are_back')],
  ['doubtful', t('doubtful')],
  ['same', t('as_they_are')],
  ['twice', t('twice_in_the_list')],
  ['unread', t('to_be_mended')],
]
const summary = computed(() => {
  const counts = NAMES.map(([outcome, words]) => {
    const count = group.value.lines.filter((line) => line.found.outcome === outcome).length
    return count ? `${count} ${words}` : ''
  })
  return counts.filter(Boolean).join(', ') || t('nobody')
})
const unsettled = computed(() => group.value.lines.filter(isUnsettled).length)
const missing = computed(() => group.value.found.missing.map((id) => props.members.get(id)!).filter(Boolean))

function sayOfAll(same: boolean): void {
  for (const line of group.value.lines) if (line.found.outcome === 'doubtful') line.same = same
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet" :aria-label="group.found.name || t('the_list')">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-3">
      <input
        v-if="several"
        v-model="group.out"
        type="checkbox"
        class="size-5 accent-tide"
        :true-value="false"
        :false-value="true"
        :aria-label="t('take_in', { name: group.found.name })"
      />
      <template v-if="group.found.into === null">
        <input
          v-model="group.found.name"
          :class="smallField"
          class="w-44 font-bold"
          maxlength="80"
          :aria-label="t('name_of_the_new_class')"
          :placeholder="t('name_of_the_class')"
        />
        <input
          v-model="group.found.subject"
          :class="smallField"
          class="w-44"
          maxlength="80"
          :aria-label="t('subject')"
          :placeholder="t('subject')"
        />
        <input
          v-model="group.found.year"
          :class="smallField"
          class="w-28"
          maxlength="20"
          :aria-label="t('year')"
          :placeholder="t('year')"
        />
      </template>
      <h2 v-else class="text-xl">{{ group.found.name }}</h2>
      <span class="grow text-[15px] text-slate" role="status">{{ summary }}</span>
      <button
        v-if="several && group.lines.length"
        type="button"
        class="text-[15px] font-bold text-tide underline"
        @click="all = !all"
      >
        {{ all ? t('only_what_is_doubtful') : t('every_line') }}
      </button>
    </div>
    <template v-if="!group.out">
      <p v-if="unsettled > 1" class="border-t border-rule px-4 py-2 text-[15px]">
        <I18nT :keypath="t.path('lines_to_settle_all_doubtful_ones')" :plural="unsettled" scope="global"
          ><template #same
            ><button type="button" class="font-bold text-tide underline" @click="sayOfAll(true)">
              {{ t('the_same_people') }}
            </button></template
          ><template #other
            ><button type="button" class="font-bold text-tide underline" @click="sayOfAll(false)">
              {{ t('somebody_else') }}
            </button></template
          ></I18nT
        >
      </p>
      <ul>
        <ListLine
          v-for="line in shown"
          :key="line.key"
          :line="line"
          :member="members.get(line.found.member ?? -1) ?? null"
          @decide="line.same = $event"
          @rename="line.renamed = $event"
          @out="line.out = $event"
          @name="line.name = $event"
        />
      </ul>
      <details v-if="missing.length" class="border-t border-rule px-4 py-3">
        <summary class="cursor-pointer">
          {{ t('members_are_not_in_this_list', { n: missing.length }) }}
        </summary>
        <ul class="mt-2 grid gap-1 sm:grid-cols-2">
          <li v-for="member in missing" :key="member.id">
            <label class="flex items-center gap-2"
              ><input
                v-model="group.leaving"
                type="checkbox"
                :value="member.id"
                class="size-5 accent-tide"
              />{{ t('has_left', { name: member.name }) }}</label
            >
          </li>
        </ul>
      </details>
    </template>
  </section>
</template>
