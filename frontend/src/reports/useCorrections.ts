/** What is put right in a session from its report: one command, and everything is read anew. */
import { useQueryClient } from '@tanstack/vue-query'
import { inject, provide, ref, type InjectionKey, type Ref } from 'vue'
import { api } from '@/api/http'
import { createOrders } from '@/api/live'
import { sentenceOf } from '@/api/refusal'
import type { DeskCommand } from '@/api/types'
import { useToasts } from '@/composables/useToasts'

interface Corrections {
  session: number
  /** Something is on its way. */
  busy: Ref<boolean>
  command: (what: DeskCommand) => Promise<void>
}

export const CORRECTIONS: InjectionKey<Corrections> = Symbol('corrections')

export function provideCorrections(session: number): Corrections {
  const client = useQueryClient()
  const { show } = useToasts()
  const busy = ref(false)
  const order = createOrders()

  async function command(what: DeskCommand): Promise<void> {
    busy.value = true
    try {
      const params = { path: { session_id: session } }
      await api.POST('/api/live/sessions/{session_id}/commands', {
        params,
        body: order(what),
      })
      await client.invalidateQueries({ queryKey: ['report', session] })
    } catch (error) {
      show(sentenceOf(error))
    } finally {
      busy.value = false
    }
  }

  const corrections = { session, busy, command }
  provide(CORRECTIONS, corrections)
  return corrections
}

export const useCorrections = (): Corrections => inject(CORRECTIONS)!
