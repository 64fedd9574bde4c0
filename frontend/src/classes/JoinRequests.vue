<script setup lang="ts">
/** Who would like to be a member. Who may be in the list already, written otherwise, is shown beside it. */
import { computed } from 'vue'
import type { ClassDetail } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import type { OneClass } from './useClass'

const props = defineProps<{ one: OneClass; detail: ClassDetail }>()
const names = computed(() => new Map(props.detail.members_list.map((member) => [member.id, member.name])))

async function letAllIn(): Promise<void> {
  for (const request of props.detail.requests) await props.one.decide(request.id, true, request.member)
}
</script>

<template>
  <section class="rounded border border-lamp-ink bg-sheet px-4 py-3" aria-labelledby="requests-head">
    <div class="flex flex-wrap items-center gap-3">
      <h2 id="requests-head" class="grow text-xl">Would like to join</h2>
      <UiButton v-if="detail.requests.length > 1" size="small" @click="letAllIn">Let all in</UiButton>
    </div>
    <ul class="mt-2 divide-y divide-rule">
      <li v-for="request in detail.requests" :key="request.id" class="flex flex-wrap items-center gap-3 py-2">
        <span class="grow basis-48 wrap-anywhere"
          ><b>{{ request.name }}</b>
          <span v-if="request.record_id" class="text-[15px] text-slate"> · {{ request.record_id }}</span>
          <span v-if="request.member" class="block text-[15px] text-slate"
            >may be {{ names.get(request.member) }}, who is in the list</span
          >
        </span>
        <template v-if="request.member">
          <UiButton size="small" @click="one.decide(request.id, true, request.member)">Is the same</UiButton>
          <UiButton size="small" @click="one.decide(request.id, true, null)">Somebody else: let in</UiButton>
        </template>
        <UiButton v-else size="small" @click="one.decide(request.id, true, null)"
          >Let in<span class="sr-only">: {{ request.name }}</span></UiButton
        >
        <UiButton look="quiet" size="small" @click="one.decide(request.id, false, null)"
          >Turn away<span class="sr-only">: {{ request.name }}</span></UiButton
        >
      </li>
    </ul>
  </section>
</template>
