/** A student's line to an attempt: over HTTP, and without a network as long as it takes. */
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { newId } from '@/api/ids'
import type { LineStatus } from '@/api/live'
import { Refusal } from '@/api/refusal'
import type {
  AttemptMessage,
  GameMove,
  Mine,
  OwnLightInfo,
  SpokenPart,
  StudentAnswer,
  StudentCommand,
  StudentView,
} from '@/api/types'
import { useTimeLeft } from '@/composables/useTimeLeft'
import { told as sentence } from './told'
import { paperTime, refusedBy, type PaperLink, type Refused, type SentState } from '../seated/useSeat'
import { after, mineOf, questionOn, told } from './local'
import { keepAttempt, keptAttempt } from './pass'
import { readAttempt, readingOf, reviewOf, sendCommand, spokenPart, spokenText } from './request'

const TRY_AGAIN = [700, 1500, 3000, 6000, 12_000]
const SOON = 3 * 3_600_000
const WAITS = new Set(['offline', 'not_stored', 'server', 'too_fast', 'too_many_tries'])
const UNKNOWN = new Set(['unknown_pass', 'not_found'])

type Command = StudentCommand['command']

export function useAttempt(token: string, number: number, begun: AttemptMessage) {
  const kept = keptAttempt(token, number)
  const message = shallowRef<AttemptMessage>(begun)
  const queue = shallowRef<StudentCommand[]>(kept?.queue ?? [])
  const refusals = shallowRef<Record<string, Refused>>({})
  const status = ref<LineStatus>('online')
  const gone = ref<Refusal | null>(null)
  const offset = ref(begun.now - Date.now())
  const going = ref(0)
  const notice = ref('')
  let failures = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let isSending = false

  const here = computed(() => queue.value.reduce(after, message.value))
  const on = computed(() => questionOn(here.value))
  const mine = computed<Mine>(() => mineOf(here.value))
  const view = computed<StudentView | null>(() => ({ ...here.value.view, shown: on.value?.shown ?? null }))
  const paper = computed(() => mine.value.paper ?? null)
  const ask = computed(() => on.value?.shown.ask ?? '')
  /** What closes in some days needs no clock. */
  const isSoon = (deadline: number | null | undefined): boolean =>
    !!deadline && deadline - (Date.now() + offset.value) < SOON
  const time = useTimeLeft(() => {
    const span = paper.value ? paperTime(paper.value) : null
    return isSoon(span?.deadline) ? span : null
  }, offset)
  const answer = computed<StudentAnswer | null>(() => on.value?.answer ?? null)
  const refusal = computed<Refused | null>(() => refusals.value[ask.value] ?? null)
  const handsIn = computed(() => queue.value.some((one) => one.command.do === 'hand_in'))
  const waits = (one: StudentCommand): boolean => 'ask' in one.command && one.command.ask === ask.value
  const state = computed<SentState>(() => {
    if (refusal.value) return 'refused'
    if (queue.value.some(waits)) return 'sending'
    return answer.value ? 'sent' : 'none'
  })

  function keep(): void {
    keepAttempt(token, number, { message: message.value, queue: queue.value })
  }

  function take(found: AttemptMessage): void {
    message.value = found
    offset.value = found.now - Date.now()
    keep()
  }

  /** What the server has, whole. */
  async function look(): Promise<void> {
    try {
      take(await readAttempt(token, number))
      status.value = 'online'
    } catch (error) {
      failed(error)
    }
  }

  function failed(error: unknown): void {
    const why = error instanceof Refusal ? error : null
    if (why && UNKNOWN.has(why.code)) gone.value = why
    else status.value = 'offline'
  }

  /** One command after the other: so their numbers reach the server rising. */
  async function sendAll(): Promise<void> {
    if (isSending) return
    isSending = true
    clearTimeout(timer)
    while (queue.value.length && !gone.value) {
      const first = queue.value[0]!
      try {
        const reply = await sendCommand(token, number, first)
        message.value = told(message.value, first, reply)
        offset.value = reply.now - Date.now()
        status.value = 'online'
        failures = 0
        done(first)
        if (reply.mine.paper?.handed_in) await look()
      } catch (error) {
        if (!(error instanceof Refusal) || WAITS.has(error.code)) {
          status.value = 'offline'
          timer = setTimeout(() => void sendAll(), TRY_AGAIN[Math.min(failures++, TRY_AGAIN.length - 1)])
          break
        }
        if (UNKNOWN.has(error.code)) {
          gone.value = error
          break
        }
        refused(first, error)
        done(first)
        await look()
      }
    }
    isSending = false
  }

  function done(command: StudentCommand): void {
    queue.value = queue.value.filter((one) => one.id !== command.id)
    keep()
  }

  /** An answer that had been stored already is no failure to the student. */
  function refused({ command }: StudentCommand, why: Refusal): void {
    if (why.code === 'already_answered') return
    if ('ask' in command) refusals.value = { ...refusals.value, [command.ask]: refusedBy(why) }
    else notice.value = sentence(why)
  }

  function say(count: number, command: Command): Promise<boolean> {
    notice.value = ''
    queue.value = [...queue.value, { id: newId(), number: count, command } as StudentCommand]
    keep()
    void sendAll()
    return Promise.resolve(true)
  }

  function send(_item: string, given: StudentAnswer, movesOn = false): void {
    const asked = ask.value
    refusals.value = Object.fromEntries(Object.entries(refusals.value).filter(([one]) => one !== asked))
    void say((on.value?.number ?? 0) + 1, { do: 'answer', ask: asked, answer: given, moves_on: movesOn })
  }

  const nextOnPaper = (): number => (paper.value?.went ?? 0) + 1
  const own = {
    paper,
    going,
    notice,
    begin: () => Promise.resolve(true),
    go: (item: string) => say(nextOnPaper(), { do: 'go_to', item }),
    flag: (item: string, flagged: boolean) => say(nextOnPaper(), { do: 'flag', item, flagged }),
    handIn: () => (handsIn.value ? Promise.resolve(true) : say(1, { do: 'hand_in' })),
    clear: () => say((on.value?.number ?? 0) + 1, { do: 'clear', ask: ask.value }),
    review: () => reviewOf(token, number),
    light: () => Promise.reject<OwnLightInfo>(new Error('there are no lights')),
    chooseLight: () => Promise.reject<OwnLightInfo>(new Error('there are no lights')),
    move: (move: GameMove) => say((mine.value.moved ?? 0) + 1, { do: 'move', move }),
    back: () => Promise.resolve(false),
    note: () => Promise.resolve(''),
  }
  const read = (item: string, given: StudentAnswer): Promise<string> => readingOf(token, number, item, given)
  const speak = (part: string, start: number): Promise<SpokenPart> => spokenPart(token, number, part, start)
  const speakText = (text: string): Promise<SpokenPart> => spokenText(token, text)

  const again = (): void => void (queue.value.length ? sendAll() : look())
  addEventListener('online', again)
  const seen = (): void => void (document.visibilityState === 'visible' && again())
  document.addEventListener('visibilitychange', seen)
  onScopeDispose(() => {
    clearTimeout(timer)
    removeEventListener('online', again)
    document.removeEventListener('visibilitychange', seen)
  })
  // The server says what the end of the time has done.
  watch(time.seconds, (now, before) => {
    if (now === 0 && before) setTimeout(again, 600)
  })
  keep()
  void sendAll()

  const link: PaperLink = {
    speak,
    speakText,
    view,
    mine,
    time,
    status,
    gone,
    answer,
    state,
    refusal,
    send,
    read,
    own,
  }
  const waiting = computed(() => queue.value.filter((one) => 'ask' in one.command).length)
  return { link, handsIn, waiting, isOver: computed(() => !!message.value.mine.paper?.handed_in) }
}
