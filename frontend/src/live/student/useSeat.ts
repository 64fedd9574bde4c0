/** A student's line to the session: the present view, the own part, and answers that are never lost. */
import { computed, shallowRef, watch } from 'vue'
import { newId } from '@/api/ids'
import { openLine } from '@/api/live'
import { Refusal } from '@/api/refusal'
import type {
  Joined,
  Mine,
  Needs,
  Shown,
  SpokenPart,
  StudentAnswer,
  StudentMessage,
  StudentView,
} from '@/api/types'
import { useTimeLeft } from '@/composables/useTimeLeft'
import { readingOf, spokenPart } from './request'
import { keepPending, keptPending, type Pending } from './seat'
import { language } from '@/words'
import { told } from './told'

export type SentState = 'none' | 'sending' | 'sent' | 'refused'

/** Why an answer was not taken. `again`: it may be put right and sent once more. */
export interface Refused {
  sentence: string
  again: boolean
}

export const refusedBy = (error: Refusal): Refused => ({
  sentence: told(error),
  again: error.family === 'bad_answer',
})

/** The time of a question as this student has it. */
export function ownTime(shown: Shown | null | undefined, needs: Partial<Needs> | null | undefined) {
  const { opened_at: opened, deadline } = shown ?? {}
  if (!shown || !needs || !opened || !deadline) return shown
  const more = opened + Math.round((deadline - opened) * (needs.time ?? 1))
  return { opened_at: opened, deadline: needs.no_limit ? null : more }
}

export function useSeat(seat: Joined) {
  const line = openLine<StudentMessage>({
    socket: '/live/student',
    hello: () => JSON.stringify({ token: seat.token }),
    poll: '/api/live/student',
    commands: '/api/live/student/commands',
    headers: () => ({ Authorization: `Bearer ${seat.token}` }),
  })
  const view = computed<StudentView | null>(() => line.message.value?.view ?? null)
  const mine = shallowRef<Mine | null>(null)
  /** One command for each ask, on its way or stored; and why one was refused. */
  const pending = shallowRef<Record<string, Pending>>(keptPending(seat))
  const sent = shallowRef<Record<string, StudentAnswer>>({})
  const refusals = shallowRef<Record<string, Refused>>({})
  const time = useTimeLeft(() => ownTime(view.value?.shown, mine.value?.needs), line.offset)
  const numbers = new Map<string, number>()

  watch(line.message, (message) => {
    if (message?.mine) mine.value = message.mine
  })

  const ask = computed(() => view.value?.shown?.ask ?? '')

  /** The answer to what is asked, on its way or stored. */
  const answer = computed<StudentAnswer | null>(() => {
    const own = pending.value[ask.value]?.command.answer ?? sent.value[ask.value]
    return own ?? (mine.value?.ask === ask.value ? mine.value.answer : null)
  })
  const refusal = computed<Refused | null>(() => refusals.value[ask.value] ?? null)

  const state = computed<SentState>(() => {
    if (refusal.value) return 'refused'
    if (pending.value[ask.value]) return 'sending'
    return answer.value ? 'sent' : 'none'
  })

  const without = <T>(all: Record<string, T>, name: string): Record<string, T> =>
    Object.fromEntries(Object.entries(all).filter(([one]) => one !== name))

  function setPending(all: Record<string, Pending>): void {
    pending.value = all
    keepPending(seat, all)
  }

  async function deliver(given: Pending): Promise<void> {
    const { ask: asked, answer: chosen } = given.command
    try {
      await line.send(given)
      sent.value = { ...sent.value, [asked]: chosen }
    } catch (error) {
      if (error instanceof Refusal && error.code === 'offline') return // the page is closing; it is kept
      // An answer that had been stored already is no failure to the student.
      const known = error instanceof Refusal && error.code === 'already_answered'
      if (!known) refusals.value = { ...refusals.value, [asked]: refusedBy(error as Refusal) }
    }
    if (pending.value[asked]?.id === given.id) setPending(without(pending.value, asked))
  }

  function send(_item: string, given: StudentAnswer): void {
    const asked = ask.value
    const number = (numbers.get(asked) ?? 0) + 1
    numbers.set(asked, number)
    refusals.value = without(refusals.value, asked)
    const command: Pending = { id: newId(), number, command: { do: 'answer', ask: asked, answer: given } }
    setPending({ ...pending.value, [asked]: command })
    void deliver(command)
  }

  for (const kept of Object.values(pending.value)) {
    numbers.set(kept.command.ask, kept.number)
    void deliver(kept)
  }

  const read = (item: string, given: StudentAnswer): Promise<string> => readingOf(seat.token, item, given)
  const speak = (part: string, start: number): Promise<SpokenPart> =>
    spokenPart(seat.token, part, start, language.value)
  return { speak, view, mine, time, status: line.status, gone: line.gone, answer, state, refusal, send, read }
}

/** What a student's view needs to know and to do: a seat in a session, or one that is tried out. */
export type SeatLink = Omit<ReturnType<typeof useSeat>, 'speak'> &
  Partial<Pick<ReturnType<typeof useSeat>, 'speak'>>
