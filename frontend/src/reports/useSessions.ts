/** The list of sessions, as it is narrowed, and what it can be narrowed by. */
import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import { api, data } from '@/api/http'

export interface Wanted {
  search: string
  of_class: number | null
  of_set: number | null
  since: string
  until: string
  archived: boolean
}

export const ALL: Wanted = { search: '', of_class: null, of_set: null, since: '', until: '', archived: false }

const asked = (wanted: Wanted) => ({
  ...wanted,
  of_class: wanted.of_class ?? undefined,
  of_set: wanted.of_set ?? undefined,
  since: wanted.since || undefined,
  until: wanted.until || undefined,
})

export function useSessions(wanted: Ref<Wanted>) {
  const list = useInfiniteQuery({
    queryKey: ['sessions', wanted],
    initialPageParam: 1,
    queryFn: ({ pageParam }) =>
      data(api.GET('/api/sessions', { params: { query: { ...asked(wanted.value), page: pageParam } } })),
    getNextPageParam: (last, _pages, page) => (last.more ? page + 1 : undefined),
  })
  const { data: choices } = useQuery({
    queryKey: ['sessions', 'choices'],
    queryFn: () => data(api.GET('/api/sessions/choices')),
  })
  /** Those that were closed until another day, however old. */
  const { data: kept } = useQuery({
    queryKey: ['sessions', 'kept'],
    queryFn: async () => (await data(api.GET('/api/sessions', { params: { query: { kept: true } } }))).rows,
  })
  return {
    ...list,
    sessions: computed(() => list.data.value?.pages.flatMap((page) => page.rows) ?? []),
    choices,
    kept,
  }
}
