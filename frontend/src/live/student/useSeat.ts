/** A student's line to the session: the present view, the own part, and answers that are never lost. */
import { computed, ref, shallowRef, watch } from 'vue'
import { newId } from '@/api/ids'
import { openLine } from '@/api/live'
import { Refusal } from '@/api/refusal'
import type { Joined, Mine, StudentAnswer, StudentMessage, StudentView } from '@/api/types'
import { useTimeLeft } from '@/composables/useTimeLeft'
import { readingOf } from './request'
import { forgetPending, keepPending, keptPending, type Pending } from './seat'

export type SentState = 'none' | 'sending' | 'sent' | 'refused'

/** Why an answer was not taken. `again`: it may be put right and sent once more. */
export interface Refused {
  item: string
  sentence: string
  again: boolean
}

export const refusedBy = (error: Refusal, item: string): Refused => ({
  item,
  sentence: error.sentence,
  again: error.code === 'bad_answer',
})

export function useSeat(seat: Joined) {
  const line = openLine<StudentMessage>({
    socket: '/live/student',
    hello: () => JSON.stringify({ token: seat.token }),
    poll: '/api/live/student',
    commands: '/api/live/student/answers',
    headers: () => ({ Authorization: `Bearer ${seat.token}` }),
  })
  const view = computed<StudentView | null>(() => line.message.value?.view ?? null)
  const mine = shallowRef<Mine | null>(null)
  const pending = shallowRef<Pending | null>(keptPending(seat))
  const sent = shallowRef<Pending | null>(null)
  const refusal = ref<Refused | null>(null)
  const time = useTimeLeft(() => view.value?.shown, line.offset)

  watch(line.message, (message) => {
    if (message?.mine) mine.value = message.mine
  })

  const itemId = computed(() => view.value?.shown?.item.id ?? null)

  /** The answer to the current item, on its way or stored. */
  const answer = computed<StudentAnswer | null>(() => {
    if (pending.value?.item === itemId.value) return pending.value!.answer
    if (sent.value?.item === itemId.value) return sent.value!.answer
    return mine.value && mine.value.item === itemId.value ? mine.value.answer : null
  })

  const state = computed<SentState>(() => {
    if (refusal.value && refusal.value.item === itemId.value) return 'refused'
    if (pending.value?.item === itemId.value) return 'sending'
    return answer.value ? 'sent' : 'none'
  })

  async function deliver(command: Pending): Promise<void> {
    try {
      await line.send(command)
      sent.value = command
    } catch (error) {
      if (error instanceof Refusal && error.code === 'offline') return // the page is closing; it is kept
      // An answer that had been stored already is no failure to the student.
      const known = error instanceof Refusal && error.code === 'already_answered'
      if (!known) refusal.value = refusedBy(error as Refusal, command.item)
    }
    forgetPending(seat)
    pending.value = null
  }

  function send(item: string, given: StudentAnswer): void {
    refusal.value = null
    pending.value = { id: newId(), item, answer: given }
    keepPending(seat, pending.value)
    void deliver(pending.value)
  }

  if (pending.value) void deliver(pending.value)

  const read = (item: string, given: StudentAnswer): Promise<string> => readingOf(seat.token, item, given)
  return { view, mine, time, status: line.status, gone: line.gone, answer, state, refusal, send, read }
}

/** What a student's view needs to know and to do: a seat in a session, or one that is tried out. */
export type SeatLink = ReturnType<typeof useSeat>
