<script setup lang="ts">
/** Sessions that are prepared: their doors are opened here, and how they are run can still be changed. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { SessionInfo } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import { useToasts } from '@/composables/useToasts'
import UiButton from '@/ui/UiButton.vue'
import RunDialog from './RunDialog.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const router = useRouter()
const client = useQueryClient()
const { show } = useToasts()
const KEY = ['prepared']
const { data: prepared } = useQuery({ queryKey: KEY, queryFn: () => data(api.GET('/api/live/prepared')) })
const changing = ref<SessionInfo | null>(null)
const again = (): Promise<void> => client.invalidateQueries({ queryKey: KEY })
const at = (session: SessionInfo) => ({ params: { path: { session_id: session.id } } })

async function attempt(work: () => Promise<void>): Promise<void> {
  try {
    await work()
  } catch (error) {
    show(sentenceOf(error))
  }
}
const open = (session: SessionInfo): Promise<void> =>
  attempt(async () => {
    await data(api.POST('/api/live/sessions/{session_id}/open', at(session)))
    await router.push(`/desk/${session.id}`)
  })
const throwAway = (session: SessionInfo): Promise<void> =>
  attempt(async () => {
    await api.DELETE('/api/live/sessions/{session_id}/prepared', at(session))
    await again()
    show(t('is_prepared_no_more', { title: session.title }), {
      label: common('undo'),
      run: () => void bringBack(session),
    })
  })
/** It is prepared once more; its code is another. */
const bringBack = (session: SessionInfo): Promise<void> =>
  attempt(async () => {
    const { set, of_class, settings } = session
    await data(api.POST('/api/live/sessions', { body: { set, of_class, settings, later: true } }))
    await again()
  })
</script>

<template>
  <section v-if="prepared?.length" aria-labelledby="prepared" class="mx-auto max-w-6xl px-6 pt-7">
    <h2 id="prepared" class="mb-2 text-2xl">{{ t('prepared') }}</h2>
    <ul class="divide-y divide-rule border-y border-rule">
      <li
        v-for="session in prepared"
        :key="session.id"
        class="flex flex-wrap items-center gap-x-6 gap-y-2 bg-sheet px-4 py-3"
      >
        <p class="min-w-56 grow">
          <span class="text-lg font-bold wrap-anywhere">{{ session.title || common('untitled_set') }}</span>
          <span class="block text-[15px] text-slate">
            {{ session.settings.manner === 'led' ? t('you_lead') : t('own_pace') }} ·
            {{ session.class_name || t('whoever_has_the_code') }} · {{ spacedCode(session.code) }}
          </span>
        </p>
        <div class="flex flex-wrap gap-2">
          <UiButton look="main" @click="open(session)">{{ t('open_the_doors') }}</UiButton>
          <UiButton @click="changing = session">{{ t('change') }}</UiButton>
          <UiButton look="quiet" @click="throwAway(session)">{{ t('throw_away') }}</UiButton>
        </div>
      </li>
    </ul>
    <RunDialog
      v-if="changing"
      :set="changing.set!"
      :title="changing.title"
      :prepared="changing"
      @prepared="again"
      @close="changing = null"
    />
  </section>
</template>
