<script setup lang="ts">
/** Colleagues with their roles, and what the school decides for all of them. */
import { ref } from 'vue'
import { sentenceOf } from '@/api/refusal'
import type { ColleagueRow } from '@/api/types'
import { counted } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import HandOverDialog from './HandOverDialog.vue'
import InviteColleague from './InviteColleague.vue'
import SchoolDecides from './SchoolDecides.vue'
import { useSchool } from './useSchool'

const { school, error, refused, isKeeper, change, setRole, handOver } = useSchool()
const leaving = ref<ColleagueRow | null>(null)
const ROLES = { teacher: 'teacher', keeper: 'keeper of the school' }
</script>

<template>
  <div class="mx-auto max-w-3xl space-y-6 px-6 py-7">
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="!school" class="text-slate">Fetching your school…</p>
    <template v-else>
      <div class="flex flex-wrap items-baseline gap-4">
        <h1 class="grow text-3xl wrap-anywhere">{{ school.name || 'Your school' }}</h1>
        <RouterLink v-if="isKeeper && school.has_outbox" to="/outbox" class="font-bold text-tide underline"
          >Outbox</RouterLink
        >
      </div>
      <p v-if="refused" role="alert" class="text-wrong">{{ refused }}</p>
      <section class="rounded border border-rule bg-sheet" aria-labelledby="colleagues-head">
        <h2 id="colleagues-head" class="px-6 pt-5 text-xl">
          {{ counted(school.colleagues.length, 'teacher') }}
        </h2>
        <p class="px-6 pb-3 text-[15px] text-slate">
          What a teacher makes stays hers; nobody else sees her sets, sessions and classes.
        </p>
        <ul>
          <li
            v-for="one in school.colleagues"
            :key="one.id"
            class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule px-6 py-2.5"
          >
            <span class="grow basis-60 wrap-anywhere"
              ><b>{{ one.name }}</b
              >{{ one.is_me ? ', you' : '' }}
              <span class="block text-[15px] text-slate"
                >{{ one.email }} · {{ counted(one.sets, 'set') }},
                {{ counted(one.classes, 'class', 'classes') }}</span
              ></span
            >
            <select
              v-if="isKeeper"
              :value="one.role"
              class="rounded border border-edge bg-sheet px-2 py-1"
              :aria-label="`Role of ${one.name}`"
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
              >Leaves…<span class="sr-only"> {{ one.name }}</span></UiButton
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
