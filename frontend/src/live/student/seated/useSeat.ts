/** A student's line to the session: the present view, the own part, and answers that are never lost. */
import { computed, ref, shallowRef, watch } from 'vue'
import { newId } from '@/api/ids'
import { openLine } from '@/api/live'
import { Refusal } from '@/api/refusal'
import type {
  GameMove,
  Joined,
  Mine,
  MyPaper,
  Needs,
  Shown,
  SpokenPart,
  StudentAnswer,
  StudentCommand,
  StudentMessage,
  StudentView,
} from '@/api/types'
import { useTimeLeft } from '@/composables/useTimeLeft'
import { keepPending, keptPending, type Pending } from '../seat'
import { language } from '@/words'
import { told } from '../told'
import { chooseLight, lightOf, readingOf, reviewOf, spokenPart, spokenText } from './request'

/** The own part and the view are of one message: neither is seen without the other. */
const IN_STEP = { flush: 'sync' } as const

export type SentState = 'none' | 'sending' | 'sent' | 'refused'

type Order = Exclude<StudentCommand['command'], { do?: 'answer' }>

/** Why an answer was not taken. `again`: it may be put right and sent once more. */
export interface Refused {
  sentence: string
  again: boolean
}

export const refusedBy = (error: Refusal): Refused => ({
  sentence: told(error),
  again: error.family === 'bad_answer' || error.code === 'session_paused',
})

/** The time of a question as this student has it. */
export function ownTime(shown: Shown | null | undefined, needs: Partial<Needs> | null | undefined) {
  const { opened_at: opened, deadline } = shown ?? {}
  if (!shown || !needs || !opened || !deadline) return shown
  const more = opened + Math.round((deadline - opened) * (needs.time ?? 1))
  return { opened_at: opened, deadline: needs.no_limit ? null : more }
}

/** At own pace: of the question where one is, or of all of it, whichever is over first. The server has added what one needs. */
export function paperTime({ began_at, deadline, reached_at, due }: MyPaper) {
  return due && (!deadline || due < deadline)
    ? { opened_at: reached_at, deadline: due }
    : { opened_at: began_at, deadline }
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
  const paper = computed(() => mine.value?.paper ?? null)
  const time = useTimeLeft(() => {
    if (paper.value) return paperTime(paper.value)
    const shown = view.value?.shown
    return view.value?.phase === 'talk' ? shown : ownTime(shown, mine.value?.needs)
  }, line.offset)
  const numbers = new Map<string, number>()

  watch(
    line.message,
    (message) => {
      if (!message?.mine) return
      mine.value = message.mine
      // What the server has is what stands, also where another device of this seat has said it.
      const asked = message.mine.ask
      if (asked && sent.value[asked]) sent.value = without(sent.value, asked)
    },
    IN_STEP,
  )

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

  /** The next number for an ask, or for going through the paper: higher than any that the server knows of this seat. */
  function numberFor(what: string, known = 0): number {
    const number = Math.max(numbers.get(what) ?? 0, known) + 1
    numbers.set(what, number)
    return number
  }
  const saidThere = (asked: string): number => (mine.value?.ask === asked ? mine.value.number : 0)

  /** `movesOn`: at own pace, to what comes next in the same step. */
  function send(_item: string, given: StudentAnswer, movesOn = false): void {
    const asked = ask.value
    const number = numberFor(asked, saidThere(asked))
    refusals.value = without(refusals.value, asked)
    const command: Pending = {
      id: newId(),
      number,
      command: { do: 'answer', ask: asked, answer: given, moves_on: movesOn },
    }
    setPending({ ...pending.value, [asked]: command })
    void deliver(command)
  }

  for (const kept of Object.values(pending.value)) {
    numbers.set(kept.command.ask, kept.number)
    void deliver(kept)
  }

  /** At own pace: what one does with one's paper. What is refused says why in `notice`. */
  const going = ref(0)
  const notice = ref('')
  async function order(number: number, command: Order): Promise<boolean> {
    going.value += 1
    notice.value = ''
    try {
      await line.send({ id: newId(), number, command } as { id: string })
      return true
    } catch (error) {
      if (error instanceof Refusal && error.code !== 'offline') notice.value = told(error)
      return false
    } finally {
      going.value -= 1
    }
  }
  const onPaper = (): number => numberFor('paper', paper.value?.went)
  const own = {
    paper,
    going,
    notice,
    begin: () => order(1, { do: 'begin' }),
    go: (item: string) => order(onPaper(), { do: 'go_to', item }),
    flag: (item: string, flagged: boolean) => order(onPaper(), { do: 'flag', item, flagged }),
    handIn: () => order(1, { do: 'hand_in' }),
    clear: () => {
      const asked = ask.value
      return order(numberFor(asked, saidThere(asked)), { do: 'clear', ask: asked })
    },
    review: () => reviewOf(seat.token),
    light: () => lightOf(seat.token),
    chooseLight: (light: string) => chooseLight(seat.token, light),
    /** Something in the game that is no answer. */
    move: (move: GameMove) => order(numberFor('moves', mine.value?.moved), { do: 'move', move }),
    /** One's voice for an entry of the wall, or no more. */
    back: (entry: string, backs: boolean) => {
      const asked = ask.value
      const number = numberFor(`backs ${asked}`, mine.value?.backed?.number)
      return order(number, { do: 'back', ask: asked, entry, backs })
    },
    /** To the teacher; returns why it was refused, or nothing. */
    note: async (text: string): Promise<string> => {
      const number = numberFor('notes', mine.value?.notes?.number)
      return (await order(number, { do: 'note', text })) ? '' : notice.value
    },
  }

  const read = (item: string, given: StudentAnswer): Promise<string> => readingOf(seat.token, item, given)
  const speak = (part: string, start: number): Promise<SpokenPart> =>
    spokenPart(seat.token, part, start, language.value)
  const speakText = (text: string): Promise<SpokenPart> => spokenText(seat.token, text, language.value)
  const { status, gone } = line
  return { speak, speakText, view, mine, time, status, gone, answer, state, refusal, send, read, own }
}

/** What a student's view needs to know and to do: a seat in a session, or one that is tried out. */
export type SeatLink = Omit<ReturnType<typeof useSeat>, 'speak' | 'speakText' | 'own'> &
  Partial<Pick<ReturnType<typeof useSeat>, 'speak' | 'speakText' | 'own'>>
/** One that is at own pace. */
export type PaperLink = ReturnType<typeof useSeat>
