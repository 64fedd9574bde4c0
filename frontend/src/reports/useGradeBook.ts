/** A grade book as it is, and what a teacher changes in it: kept as soon as it is changed. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { BookDetail, GradeScheme } from '@/api/types'

export function useGradeBook(id: number) {
  const client = useQueryClient()
  const key = ['grade-books', id]
  const refused = ref('')
  const { data: found, error } = useQuery({
    queryKey: key,
    queryFn: () => data(api.GET('/api/grade-books/{book_id}', { params: { path: { book_id: id } } })),
  })
  const detail = computed(() => found.value as BookDetail | undefined)

  /** In the order in which they were made: what was typed last is what is kept. */
  let last: Promise<void> = Promise.resolve()
  function change(changes: { name?: string; scheme?: Partial<GradeScheme> }): Promise<void> {
    last = last.then(async () => {
      const now = detail.value
      if (!now) return
      const body = { name: changes.name ?? now.name, scheme: { ...now.scheme, ...changes.scheme } }
      try {
        const params = { path: { book_id: id } }
        client.setQueryData(key, await data(api.PUT('/api/grade-books/{book_id}', { params, body })))
        refused.value = ''
        await client.invalidateQueries({ queryKey: ['grade-books'], exact: true })
      } catch (failure) {
        refused.value = sentenceOf(failure)
      }
    })
    return last
  }

  const remove = () => api.DELETE('/api/grade-books/{book_id}', { params: { path: { book_id: id } } })
  return { detail, error, refused, change, remove }
}
