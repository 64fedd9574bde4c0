/** One class: what it is, and everything that is done with it. Each change is followed by the class as it is then. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { ClassDetail, ClassForm, Member, MemberForm } from '@/api/types'
import { orderOf } from '@/composables/ordering'
import { useToasts } from '@/composables/useToasts'
import { t } from './words'
import { t as common } from '@/ui/words'

/** Somebody may ask to be let in at any moment. */
const LOOK_EVERY = 5000

export function useClass(id: number) {
  const client = useQueryClient()
  const { show } = useToasts()
  const error = ref('')
  const path = { class_id: id }
  const query = useQuery({
    queryKey: ['class', id],
    queryFn: async () =>
      (await data(api.GET('/api/classes/{class_id}', { params: { path } }))) as ClassDetail,
    refetchInterval: ({ state }) => (state.data && state.data.joining !== 'closed' ? LOOK_EVERY : false),
  })
  const detail = query.data
  const everybody = computed((): Member[] => {
    const compare = orderOf(detail.value?.language || 'en')
    return [...(detail.value?.members_list ?? [])].sort((one, other) =>
      compare(one.sort_name, other.sort_name),
    )
  })
  const members = computed(() => everybody.value.filter((one) => !one.left_at))
  const left = computed(() => everybody.value.filter((one) => one.left_at))

  async function refresh(): Promise<void> {
    await Promise.all([
      client.invalidateQueries({ queryKey: ['class', id] }),
      client.invalidateQueries({ queryKey: ['classes'] }),
    ])
  }

  /** Runs a change; what the server says against it stands on the page. */
  async function attempt(change: () => Promise<unknown>): Promise<boolean> {
    error.value = ''
    try {
      await change()
      return true
    } catch (failure) {
      error.value = sentenceOf(failure)
      return false
    } finally {
      await refresh()
    }
  }

  /** Refusals are thrown: they belong to a field of a form. */
  async function save(form: MemberForm, member?: number): Promise<void> {
    if (member === undefined)
      await data(api.POST('/api/classes/{class_id}/members', { params: { path }, body: form }))
    else
      await data(
        api.PATCH('/api/classes/{class_id}/members/{member_id}', {
          params: { path: { ...path, member_id: member } },
          body: form,
        }),
      )
    await refresh()
  }

  async function rename(form: ClassForm): Promise<void> {
    await data(api.PATCH('/api/classes/{class_id}', { params: { path }, body: form }))
    await refresh()
  }

  const putLeft = (member: number, gone: boolean): Promise<unknown> =>
    data(
      api.PUT('/api/classes/{class_id}/members/{member_id}/left', {
        params: { path: { ...path, member_id: member } },
        body: { left: gone },
      }),
    )

  const comesBack = (member: Member): Promise<boolean> => attempt(() => putLeft(member.id, false))

  async function leaves(member: Member): Promise<void> {
    if (!(await attempt(() => putLeft(member.id, true)))) return
    show(t('has_left_the_class', { name: member.name }), {
      label: common('undo'),
      run: () => void comesBack(member),
    })
  }

  /** Refusals are thrown: they belong to the dialog. */
  async function setTeachers(teachers: number[]): Promise<void> {
    await data(api.PUT('/api/classes/{class_id}/teachers', { params: { path }, body: { teachers } }))
    await refresh()
  }

  const renewCode = (): Promise<boolean> =>
    attempt(() => data(api.POST('/api/classes/{class_id}/code', { params: { path } })))

  const setPhrases = (on: boolean): Promise<boolean> =>
    attempt(() => data(api.PUT('/api/classes/{class_id}/phrases', { params: { path }, body: { on } })))

  const renewPhrases = (who: number[] | null): Promise<boolean> =>
    attempt(() =>
      data(api.POST('/api/classes/{class_id}/phrases', { params: { path }, body: { members: who } })),
    )

  const setJoining = (joining: ClassDetail['joining'], until: string | null): Promise<boolean> =>
    attempt(() =>
      data(api.PUT('/api/classes/{class_id}/joining', { params: { path }, body: { joining, until } })),
    )

  const decide = (request: number, letIn: boolean, member: number | null): Promise<boolean> =>
    attempt(() =>
      data(
        api.POST('/api/classes/{class_id}/requests/{request_id}', {
          params: { path: { ...path, request_id: request } },
          body: { let_in: letIn, member },
        }),
      ),
    )

  async function copy(form: ClassForm, withMembers: boolean): Promise<ClassDetail> {
    const body = { ...form, with_members: withMembers }
    const made = await data(api.POST('/api/classes/{class_id}/copy', { params: { path }, body }))
    await refresh()
    return made as ClassDetail
  }

  return {
    detail,
    members,
    left,
    error,
    queryError: query.error,
    save,
    rename,
    leaves,
    comesBack,
    setTeachers,
    renewCode,
    setPhrases,
    renewPhrases,
    setJoining,
    decide,
    copy,
  }
}

export type OneClass = ReturnType<typeof useClass>
