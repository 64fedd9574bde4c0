import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { api, data } from '@/api/http'
import type { ShelfRow } from '@/api/types'
import { t as common } from '@/ui/words'

/** Everything this teacher has stored, newest first, and clearing what nothing uses. */
export function useShelf() {
  const client = useQueryClient()
  const query = useQuery({ queryKey: ['shelf'], queryFn: () => data(api.GET('/api/shelf')), staleTime: 0 })

  async function clear(): Promise<number> {
    const { removed } = await data(api.DELETE('/api/shelf'))
    await client.invalidateQueries({ queryKey: ['shelf'] })
    return removed
  }
  return { shelf: query.data, error: query.error, clear }
}

/** The sets it is used in, by their titles. */
export const usesOf = (row: ShelfRow): string =>
  row.used_in.map((title) => title || common('untitled_set')).join(', ')
