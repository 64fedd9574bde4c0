<script setup lang="ts">
/** Who would like to be a member. Who may be in the list already, written otherwise, is shown beside it. */
import { computed } from 'vue'
import type { ClassDetail } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import type { OneClass } from './useClass'
import { t } from './words'

const props = defineProps<{ one: OneClass; detail: ClassDetail }>()
const names = computed(() => new Map(props.detail.members_list.map((member) => [member.id, member.name])))

async function letAllIn(): Promise<void> {
  for (const request of props.detail.requests) await props.one.decide(request.id, true, request.member)
}
</script>

<template>
  <section class="rounded border border-lamp-ink bg-sheet px-4 py-3" aria-labelledby="requests-head">
    <div class="flex flex-wrap items-center gap-3">
      <h2 id="requests-head" class="grow text-xl">{{ t('would_like_to_join_2') }}</h2>
      <UiButton v-if="detail.requests.length > 1" size="small" @click="letAllIn">{{
        t('let_all_in')
      }}</UiButton>
    </div>
    <ul class="mt-2 divide-y divide-rule">
      <li v-for="request in detail.requests" :key="request.id" class="flex flex-wrap items-center gap-3 py-2">
        <span class="grow basis-48 wrap-anywhere"
          ><b>{{ request.name }}</b>
          <span v-if="request.record_id" class="text-[15px] text-slate"> · {{ request.record_id }}</span>
          <span v-if="request.member" class="block text-[15px] text-slate">{{
            t('may_be', { name: names.get(request.member) ?? '' })
          }}</span>
        </span>
        <template v-if="request.member">
          <UiButton size="small" @click="one.decide(request.id, true, request.member)">{{
            t('is_the_same')
          }}</UiButton>
          <UiButton size="small" @click="one.decide(request.id, true, null)">{{
            t('somebody_else_let_in')
          }}</UiButton>
        </template>
        <UiButton v-else size="small" @click="one.decide(request.id, true, null)"
          >{{ t('let_in') }}<span class="sr-only">: {{ request.name }}</span></UiButton
        >
        <UiButton look="quiet" size="small" @click="one.decide(request.id, false, null)"
          >{{ t('turn_away') }}<span class="sr-only">: {{ request.name }}</span></UiButton
        >
      </li>
    </ul>
  </section>
</template>
