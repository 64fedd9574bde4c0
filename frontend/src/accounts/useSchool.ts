/** The school of whoever is signed in. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { ColleagueRow, SchoolDetail, SchoolSettings } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { teacher } from './teacher'
import { t } from './words'

export function useSchool() {
  const client = useQueryClient()
  const { show } = useToasts()
  const refused = ref('')
  const { data: school, error } = useQuery({
    queryKey: ['school'],
    queryFn: async () => (await data(api.GET('/api/school'))) as SchoolDetail,
  })
  const isKeeper = computed(
    () => school.value?.colleagues.some((one) => one.is_me && one.role === 'keeper') ?? false,
  )
  const refresh = (): Promise<void> => client.invalidateQueries({ queryKey: ['school'] })

  /** Refusals are thrown: they belong to a field of the form. */
  async function change(name: string, settings: SchoolSettings): Promise<void> {
    await data(api.PUT('/api/school', { body: { name, settings } }))
    if (teacher.value) teacher.value = { ...teacher.value, school: name, known: settings.known }
    await refresh()
    show(t('the_school_has_decided_so'))
  }

  async function setRole(who: ColleagueRow, role: ColleagueRow['role']): Promise<void> {
    refused.value = ''
    const params = { path: { colleague_id: who.id } }
    try {
      await data(api.PUT('/api/school/colleagues/{colleague_id}/role', { params, body: { role } }))
    } catch (failure) {
      refused.value = sentenceOf(failure)
    } finally {
      await refresh()
    }
  }

  async function handOver(leaving: ColleagueRow, to: number): Promise<void> {
    const params = { path: { colleague_id: leaving.id } }
    const handed = await data(
      api.POST('/api/school/colleagues/{colleague_id}/hand-over', { params, body: { to } }),
    )
    await client.invalidateQueries()
    show(
      t('handed_over_sets_classes_sessions', {
        sets: handed.sets,
        classes: handed.classes,
        sessions: handed.sessions,
      }),
    )
  }

  return { school, error, refused, isKeeper, change, setRole, handOver }
}
