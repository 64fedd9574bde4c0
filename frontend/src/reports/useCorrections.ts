/** What is put right in a session from its report: looked at first, then one command, and everything is read anew. */
import { useQueryClient } from '@tanstack/vue-query'
import { inject, provide, ref, shallowRef, type InjectionKey, type Ref } from 'vue'
import { api, data } from '@/api/http'
import { createOrders } from '@/api/live'
import { sentenceOf } from '@/told'
import type { Correcting, DeskCommand, Preview } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { useReportView } from './useReportView'

export interface Proposal {
  command: Correcting
  preview: Preview
}

interface Corrections {
  session: number
  /** Something is on its way. */
  busy: Ref<boolean>
  /** What was proposed, and whom it would change. */
  proposal: Ref<Proposal | null>
  /** Shows whom a correction would change; it is made once that is agreed to. */
  propose: (what: Correcting) => Promise<void>
  command: (what: DeskCommand) => Promise<void>
}

export const CORRECTIONS: InjectionKey<Corrections> = Symbol('corrections')

export function provideCorrections(session: number): Corrections {
  const client = useQueryClient()
  const { show } = useToasts()
  const view = useReportView(session)
  const busy = ref(false)
  const proposal = shallowRef<Proposal | null>(null)
  const order = createOrders()
  const path = { session_id: session }

  async function whileBusy(action: () => Promise<void>): Promise<void> {
    busy.value = true
    try {
      await action()
    } catch (error) {
      show(sentenceOf(error))
    } finally {
      busy.value = false
    }
  }

  const propose = (command: Correcting): Promise<void> =>
    whileBusy(async () => {
      const params = { path, query: { counting: view.value.counting } }
      const preview = await data(
        api.POST('/api/sessions/{session_id}/preview', { params, body: { command } }),
      )
      proposal.value = { command, preview }
    })

  const command = (what: DeskCommand): Promise<void> =>
    whileBusy(async () => {
      await api.POST('/api/live/sessions/{session_id}/commands', { params: { path }, body: order(what) })
      await client.invalidateQueries({ queryKey: ['report', session] })
    })

  const corrections = { session, busy, proposal, propose, command }
  provide(CORRECTIONS, corrections)
  return corrections
}

export const useCorrections = (): Corrections => inject(CORRECTIONS)!
