/** A seat that is tried out: the server's real views, led by the one who tries, and nothing kept. */
import { computed, ref, shallowRef } from 'vue'
import { api, data } from '@/api/http'
import { Refusal } from '@/api/refusal'
import { sentenceOf } from '@/told'
import type { Mine, StudentAnswer, StudentView } from '@/api/types'
import { useTimeLeft } from '@/composables/useTimeLeft'
import { refusedBy, type Refused, type SeatLink } from '@/live/student/tried'

export function useTrial(setId: number) {
  const items = shallowRef<string[]>([])
  const at = ref(0)
  const view = shallowRef<StudentView | null>(null)
  const mine = shallowRef<Mine | null>(null)
  const answer = shallowRef<StudentAnswer | null>(null)
  const refusal = ref<Refused | null>(null)
  const failure = ref('')
  const offset = ref(0)

  async function look(given: StudentAnswer | null): Promise<void> {
    const item = items.value[at.value]
    if (!item) return
    try {
      const body = { item, answer: given }
      const tried = await data(api.POST('/api/trial/{set_id}', { params: { path: { set_id: setId } }, body }))
      view.value = tried.view as StudentView
      mine.value = tried.mine
      refusal.value = null
    } catch (error) {
      if (given && error instanceof Refusal) refusal.value = refusedBy(error)
      else failure.value = sentenceOf(error)
      answer.value = null
    }
  }

  async function go(to: number): Promise<void> {
    at.value = Math.min(items.value.length - 1, Math.max(0, to))
    answer.value = null
    await look(null)
  }

  async function begin(): Promise<void> {
    try {
      const path = { set_id: setId }
      const set = await data(api.GET('/api/sets/{set_id}', { params: { path } }))
      items.value = set.items.map(({ item }) => item.id)
      await go(0)
    } catch (error) {
      failure.value = sentenceOf(error)
    }
  }

  const link: SeatLink = {
    view: computed(() => view.value),
    mine,
    time: useTimeLeft(() => null, offset),
    status: ref('online'),
    gone: ref(null),
    answer: computed(() => answer.value),
    state: computed(() => (refusal.value ? 'refused' : answer.value ? 'sent' : 'none')),
    refusal: computed(() => refusal.value),
    send: (_item: string, given: StudentAnswer) => {
      answer.value = given
      void look(given)
    },
    read: async (item: string, given: StudentAnswer) =>
      (
        await data(
          api.POST('/api/trial/{set_id}/reading', {
            params: { path: { set_id: setId } },
            body: { item, answer: given },
          }),
        )
      ).read,
  }

  void begin()
  return { link, at, count: computed(() => items.value.length), failure, go }
}
