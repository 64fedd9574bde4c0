/** The panes of the grid by answers or by seconds: fetched when they are wanted. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import { api, data } from '@/api/http'
import { partOf, type ReportView } from './useReportView'

export function usePanes(session: number, view: Ref<ReportView>) {
  const asked = computed(() => ({ ...partOf(view.value), by: view.value.by }))
  const { data: panes } = useQuery({
    queryKey: ['report', session, 'panes', asked],
    queryFn: () =>
      data(
        api.GET('/api/sessions/{session_id}/panes', {
          params: { path: { session_id: session }, query: asked.value },
        }),
      ),
    enabled: computed(() => view.value.by !== 'marks'),
    placeholderData: keepPreviousData,
  })
  return computed(() => (view.value.by === 'marks' ? null : (panes.value?.panes ?? null)))
}
