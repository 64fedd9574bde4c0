/** A session's report, as it is looked at. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '@/api/http'
import { partOf, useReportView } from './useReportView'

export function useReport(id: number) {
  const view = useReportView(id)
  const asked = computed(() => ({ ...partOf(view.value), counting: view.value.counting }))
  const { data: session, error } = useQuery({
    queryKey: ['report', id, asked],
    queryFn: () =>
      data(
        api.GET('/api/sessions/{session_id}/report', {
          params: { path: { session_id: id }, query: asked.value },
        }),
      ),
    placeholderData: keepPreviousData,
    // Students may be at work on it.
    refetchInterval: (query) => (query.state.data?.work ? 5000 : false),
  })
  return { view, session, error }
}
