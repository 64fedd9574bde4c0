/** What becomes of a session: its title and note, put away, deleted with an undo. */
import { useQueryClient } from '@tanstack/vue-query'
import { api } from '@/api/http'
import { sentenceOf } from '@/told'
import type { SessionChanges } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { t } from './words'
import { t as common } from '@/ui/words'

export interface NamedSession {
  id: number
  title: string
}

export function useSessionChanges() {
  const client = useQueryClient()
  const { show } = useToasts()

  /** Runs a change, then reads lists and report anew; a refusal is shown as a sentence. */
  async function run(session: NamedSession, action: () => Promise<unknown>): Promise<boolean> {
    try {
      await action()
      await Promise.all([
        client.invalidateQueries({ queryKey: ['sessions'] }),
        client.invalidateQueries({ queryKey: ['report', session.id] }),
      ])
      return true
    } catch (error) {
      show(sentenceOf(error))
      return false
    }
  }

  const at = (session: NamedSession) => ({ params: { path: { session_id: session.id } } })
  const named = (session: NamedSession): string =>
    common('quoted', { text: session.title || common('untitled_set') })
  const change = (session: NamedSession, body: SessionChanges) =>
    run(session, () => api.PATCH('/api/sessions/{session_id}', { ...at(session), body }))

  async function archive(session: NamedSession, archived: boolean): Promise<void> {
    if (!(await change(session, { archived }))) return
    const words = archived ? t('is_put_away_under_archived') : t('is_in_the_list_again')
    show(`${named(session)} ${words}`, {
      label: common('undo'),
      run: () => void change(session, { archived: !archived }),
    })
  }

  async function remove(session: NamedSession): Promise<boolean> {
    const gone = await run(session, () => api.DELETE('/api/sessions/{session_id}', at(session)))
    if (gone)
      show(t('is_deleted_its_answers_are_gone', { named: named(session) }), {
        label: common('undo'),
        run: () => void run(session, () => api.POST('/api/sessions/{session_id}/restore', at(session))),
      })
    return gone
  }

  return { change, archive, remove }
}
