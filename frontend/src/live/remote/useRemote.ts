/** A phone's line to the session that it leads. The token stays on this phone until the desk cuts it off. */
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { createOrders, openLine } from '@/api/live'
import { sentenceOf } from '@/told'
import type { RemoteCommand, RemoteMessage, RemoteView } from '@/api/types'
import { useTimeLeft } from '@/composables/useTimeLeft'

const KEPT = 'lantern.remote'

/** The token that this phone has, or gets for the key in the address; '' for none. Throws a refusal. */
export async function enter(): Promise<string> {
  const key = location.hash.slice(1)
  if (!key) return localStorage.getItem(KEPT) ?? ''
  history.replaceState(null, '', location.pathname)
  const { token } = await data(api.POST('/api/live/remote/claim', { body: { key } }))
  localStorage.setItem(KEPT, token)
  return token
}

export function useRemote(token: string) {
  const line = openLine<RemoteMessage>({
    socket: '/live/remote',
    hello: () => JSON.stringify({ token }),
    poll: '/api/live/remote',
    commands: '/api/live/remote/commands',
    headers: () => ({ Authorization: `Bearer ${token}` }),
  })
  const view = computed<RemoteView | null>(() => line.message.value?.view ?? null)
  const time = useTimeLeft(() => view.value?.shown, line.offset)
  const order = createOrders()
  const pending = ref(0)
  const failure = ref('')

  async function command(what: RemoteCommand): Promise<boolean> {
    pending.value += 1
    failure.value = ''
    try {
      await line.send(order(what))
      return true
    } catch (error) {
      failure.value = sentenceOf(error)
      return false
    } finally {
      pending.value -= 1
    }
  }
  const step = (): number => view.value?.step ?? 0
  const can = (name: RemoteCommand['do']): boolean => view.value?.allowed.includes(name!) ?? false
  return { view, time, status: line.status, gone: line.gone, pending, failure, can, command, step }
}

export type Remote = ReturnType<typeof useRemote>
