/** The classes of this teacher. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { api, data } from '@/api/http'
import type { ClassDetail, ClassForm, ClassRow } from '@/api/types'

export function useClasses() {
  const client = useQueryClient()
  const {
    data: classes,
    error,
    isPending,
  } = useQuery({
    queryKey: ['classes'],
    queryFn: async () => (await data(api.GET('/api/classes'))) as ClassRow[],
  })

  async function make(form: ClassForm): Promise<ClassDetail> {
    const made = await data(api.POST('/api/classes', { body: form }))
    await client.invalidateQueries({ queryKey: ['classes'] })
    return made as ClassDetail
  }

  async function archive(id: number, archived: boolean): Promise<void> {
    const path = { class_id: id }
    await data(api.PUT('/api/classes/{class_id}/archive', { params: { path }, body: { archived } }))
    await client.invalidateQueries({ queryKey: ['classes'] })
  }

  return { classes, error, isPending, make, archive }
}
