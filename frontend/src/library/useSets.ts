import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { SetDocument, SetRow } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { t } from './words'
import { t as common } from '@/ui/words'

/** The list of sets, and what can be done with each. */
export function useSets(search: Ref<string>) {
  const client = useQueryClient()
  const { show } = useToasts()
  const query = useQuery({
    queryKey: ['sets', search],
    queryFn: () => data(api.GET('/api/sets', { params: { query: { q: search.value } } })),
    placeholderData: keepPreviousData,
  })

  /** Runs a change, then fetches the list anew; a refusal is shown as a sentence. */
  async function change<T>(action: () => Promise<T>): Promise<T | undefined> {
    try {
      const result = await action()
      await client.invalidateQueries({ queryKey: ['sets'] })
      return result
    } catch (error) {
      show(sentenceOf(error))
    }
  }

  const at = (row: SetRow) => ({ params: { path: { set_id: row.id } } })
  const create = (folder: number | null): Promise<SetDocument | undefined> =>
    change(() => data(api.POST('/api/sets', { body: { title: '', folder } })))
  const variant = (row: SetRow) => change(() => data(api.POST('/api/sets/{set_id}/variant', at(row))))
  const moveTo = (row: SetRow, folder: number | null) =>
    change(() => api.PUT('/api/sets/{set_id}/place', { ...at(row), body: { folder } }))
  const rename = (row: SetRow, title: string) =>
    change(() => api.PATCH('/api/sets/{set_id}', { ...at(row), body: { title } }))
  const copy = (row: SetRow) => change(() => api.POST('/api/sets/{set_id}/copy', at(row)))

  async function remove(row: SetRow): Promise<void> {
    await change(() => api.DELETE('/api/sets/{set_id}', at(row)))
    show(t('is_in_the_recycle_bin', { title: row.title || common('untitled_set') }), {
      label: common('undo'),
      run: () => void change(() => api.POST('/api/sets/{set_id}/restore', at(row))),
    })
  }

  return {
    sets: query.data,
    error: query.error,
    isPending: query.isPending,
    create,
    rename,
    copy,
    variant,
    moveTo,
    remove,
  }
}
