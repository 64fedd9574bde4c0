<script setup lang="ts">
/** Colleagues with their roles, and what the school decides for all of them. */
import { ref } from 'vue'
import { sentenceOf } from '@/told'
import type { ColleagueRow } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import HandOverDialog from './HandOverDialog.vue'
import InviteColleague from './InviteColleague.vue'
import SchoolDecides from './SchoolDecides.vue'
import { useSchool } from './useSchool'
import { t } from './words'
import { t as common } from '@/ui/words'

const { school, error, refused, isKeeper, change, setRole, handOver } = useSchool()
const leaving = ref<ColleagueRow | null>(null)
const ROLES = { teacher: t('teacher'), keeper: t('keeper_of_the_school') }
</script>

<template>
  <div class="mx-auto max-w-3xl space-y-6 px-6 py-7">
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="!school" class="text-slate">{{ t('fetching_your_school') }}</p>
    <template v-else>
      <div class="flex flex-wrap items-baseline gap-4">
        <h1 class="grow text-3xl wrap-anywhere">{{ school.name || t('your_school') }}</h1>
        <RouterLink v-if="isKeeper && school.has_outbox" to="/outbox" class="font-bold text-tide underline">{{
          t('outbox')
        }}</RouterLink>
      </div>
      <p v-if="refused" role="alert" class="text-wrong">{{ refused }}</p>
      <section class="rounded border border-rule bg-sheet" aria-labelledby="colleagues-head">
        <h2 id="colleagues-head" class="px-6 pt-5 text-xl">
          {{ t('n_teachers', { n: school.colleagues.length }) }}
        </h2>
        <p class="px-6 pb-3 text-[15px] text-slate">
          {{ t('what_a_teacher_makes_stays_hers') }}
        </p>
        <ul>
          <li
            v-for="one in school.colleagues"
            :key="one.id"
            class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule px-6 py-2.5"
          >
            <span class="grow basis-60 wrap-anywhere"
              ><b>{{ one.is_me ? t('name_of_yours', { name: one.name }) : one.name }}</b>
              <span class="block text-[15px] text-slate"
                >{{ one.email }} · {{ common('n_sets', { n: one.sets }) }},
                {{ common('n_classes', { n: one.classes }) }}</span
              ></span
            >
            <select
              v-if="isKeeper"
              :value="one.role"
              class="rounded border border-edge bg-sheet px-2 py-1"
              :aria-label="t('role_of', { name: one.name })"
              @change="setRole(one, ($event.target as HTMLSelectElement).value as ColleagueRow['role'])"
            >
              <option v-for="(words, role) in ROLES" :key="role" :value="role">{{ words }}</option>
            </select>
            <span v-else class="text-[15px] text-slate">{{ ROLES[one.role] }}</span>
            <UiButton
              v-if="isKeeper && !one.is_me && school.colleagues.length > 1"
              look="quiet"
              size="small"
              @click="leaving = one"
              >{{ t('leaves') }}<span class="sr-only"> {{ one.name }}</span></UiButton
            >
          </li>
        </ul>
        <InviteColleague :has-outbox="school.has_outbox" />
      </section>
      <SchoolDecides :school="school" :is-keeper="isKeeper" :change="change" />
      <HandOverDialog
        v-if="leaving"
        :leaving="leaving"
        :colleagues="school.colleagues"
        :hand-over="handOver"
        @close="leaving = null"
      />
    </template>
  </div>
</template>
