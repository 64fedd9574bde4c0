/** One piece of set work, as it is followed: looked at again while somebody may be at work on it. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { WorkChange, WorkDetail } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { t } from './words'

const AGAIN = 5000

export function useWork(id: number) {
  const client = useQueryClient()
  const { show } = useToasts()
  const busy = ref(false)
  const key = ['work', id]
  const path = { work_id: id }
  const { data: found, error } = useQuery({
    queryKey: key,
    queryFn: () => data(api.GET('/api/work/{work_id}', { params: { path } })),
    refetchInterval: (query) => (query.state.data?.door === 'closed' ? false : AGAIN),
  })
  const work = computed(() => found.value as WorkDetail | undefined)

  /** Whether it was done. */
  async function act(request: () => Promise<WorkDetail>, words = ''): Promise<boolean> {
    busy.value = true
    try {
      client.setQueryData(key, await request())
      void client.invalidateQueries({ queryKey: ['works'] })
      if (words) show(words)
      return true
    } catch (failure) {
      show(sentenceOf(failure))
      return false
    } finally {
      busy.value = false
    }
  }

  const change = (what: WorkChange, words = ''): Promise<boolean> =>
    act(
      () => data(api.POST('/api/work/{work_id}/changes', { params: { path }, body: { change: what } })),
      words,
    )
  const reopen = (given: number, seat: number): Promise<boolean> =>
    act(
      () =>
        data(
          api.POST('/api/work/{work_id}/given/{given_id}/reopen', {
            params: { path: { ...path, given_id: given } },
            body: { seat, minutes: 10 },
          }),
        ),
      t('it_is_open_again'),
    )
  const free = (given: number, who: string): Promise<boolean> =>
    act(
      () =>
        data(
          api.POST('/api/work/{work_id}/given/{given_id}/free', {
            params: { path: { ...path, given_id: given } },
            body: { who },
          }),
        ),
      t('they_may_say'),
    )

  async function remind(given: number, who: string[] = []): Promise<void> {
    busy.value = true
    try {
      const sent = await data(
        api.POST('/api/work/{work_id}/remind', { params: { path }, body: { given, who } }),
      )
      const parts = [
        t('reminded_2', { mailed: sent.mailed }),
        sent.already ? t('had_a_reminder_today', { already: sent.already }) : '',
        sent.no_address.length ? t('no_address', { names: sent.no_address.join(', ') }) : '',
      ]
      show(parts.filter(Boolean).join(' '))
      await client.invalidateQueries({ queryKey: key })
    } catch (failure) {
      show(sentenceOf(failure))
    } finally {
      busy.value = false
    }
  }

  async function remove(): Promise<boolean> {
    try {
      await data(api.DELETE('/api/work/{work_id}', { params: { path } }))
      await client.invalidateQueries({ queryKey: ['works'] })
      return true
    } catch (failure) {
      show(sentenceOf(failure))
      return false
    }
  }

  return { work, error, busy, change, reopen, free, remind, remove }
}

export type UsedWork = ReturnType<typeof useWork>
