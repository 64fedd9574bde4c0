/** Marking by hand: which answers are looked at, what is said of them, and the way back. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import type { AlikeAnswers, ToMark } from '@/api/types'
import { provideCorrections } from './useCorrections'

/** A mark as it was, or as it is to be: by the rubric's lines, or by itself. */
interface Given {
  mark: number | null
  lines: number[] | null
}

interface Step {
  item: string
  at: [question: number, group: number]
  before: { seats: number[]; given: Given }[]
}

const seatsOf = (group: AlikeAnswers): number[] => group.answers.map((one) => one.seat)
/** What stands of them, those with the same together. */
function asGiven(group: AlikeAnswers): Step['before'] {
  const found = new Map<string, Step['before'][number]>()
  for (const { seat, mark, met } of group.answers) {
    const given: Given = { mark, lines: met.length ? met : null }
    const same = found.get(JSON.stringify(given)) ?? { seats: [], given }
    same.seats.push(seat)
    found.set(JSON.stringify(given), same)
  }
  return [...found.values()]
}

const keyOf = (question: ToMark, seat: number): string => `${question.item}/${seat}`

/** The first group from here on that waits, in this question or a later one; null where none does. `given` are answers
 * whose mark is on its way. */
export function nextWaiting(
  questions: readonly ToMark[],
  question: number,
  group: number,
  given: ReadonlySet<string> = new Set(),
): [question: number, group: number] | null {
  const waits = (q: number, g: number): boolean =>
    questions[q]!.groups[g]!.answers.some(
      (one) => one.mark === null && !given.has(keyOf(questions[q]!, one.seat)),
    )
  const order = questions.flatMap((one, q) => one.groups.map((_, g) => [q, g] as [number, number]))
  const from = order.findIndex(([q, g]) => q === question && g === group)
  const turned = [...order.slice(from + 1), ...order.slice(0, from + 1)]
  return turned.find(([q, g]) => waits(q, g)) ?? null
}

export function useMarking(session: number) {
  const { data: sheet, error } = useQuery({
    queryKey: ['report', session, 'marking'],
    queryFn: () =>
      data(api.GET('/api/sessions/{session_id}/marking', { params: { path: { session_id: session } } })),
  })
  const { command } = provideCorrections(session)
  const question = ref(0)
  const group = ref(0)
  const steps = ref<Step[]>([])
  const onTheirWay = new Set<string>()
  /** What is said is sent in turn: whoever marks by keys is faster than a network. */
  let last = Promise.resolve()
  const inTurn = (action: () => Promise<void>): Promise<void> => (last = last.then(action))
  const questions = computed(() => sheet.value?.questions ?? [])
  const current = computed(() => questions.value[question.value])
  const answers = computed(() => current.value?.groups[group.value])
  const done = computed(() => ({
    marked: questions.value.reduce((sum, one) => sum + one.answered - one.waiting, 0),
    all: questions.value.reduce((sum, one) => sum + one.answered, 0),
  }))

  function goTo([q, g]: readonly [number, number]): void {
    question.value = q
    group.value = g
  }

  /** By so many groups, within the question. */
  function step(by: number): void {
    const count = current.value?.groups.length ?? 0
    group.value = Math.min(count - 1, Math.max(0, group.value + by))
  }

  const give = (item: string, seats: number[], given: Given): Promise<void> =>
    command({ do: 'give_mark', item, seats, mark: given.mark, lines: given.lines ?? undefined })

  async function mark(given: Given): Promise<void> {
    const [item, alike] = [current.value, answers.value]
    if (!item || !alike) return
    steps.value.push({ item: item.item, at: [question.value, group.value], before: asGiven(alike) })
    const keys = seatsOf(alike).map((seat) => keyOf(item, seat))
    keys.forEach((key) => onTheirWay.add(key))
    const next = nextWaiting(questions.value, question.value, group.value, onTheirWay)
    if (next) goTo(next)
    await inTurn(() => give(item.item, seatsOf(alike), given))
    keys.forEach((key) => onTheirWay.delete(key))
  }

  async function undo(): Promise<void> {
    const step = steps.value.pop()
    if (!step) return
    goTo(step.at)
    for (const one of step.before) await inTurn(() => give(step.item, one.seats, one.given))
  }

  async function comment(text: string): Promise<void> {
    const [item, alike] = [current.value, answers.value]
    if (item && alike)
      await inTurn(() => command({ do: 'comment', item: item.item, seats: seatsOf(alike), text }))
  }

  const setRubric = (rubric: { text: string; points?: number }[]): Promise<void> =>
    command({ do: 'set_rubric', item: current.value!.item, rubric })

  /** It begins with the first that waits. */
  const unwatch = watch(questions, (all) => {
    if (!all.length) return
    const first = nextWaiting(all, all.length - 1, all.at(-1)!.groups.length - 1)
    goTo(first ?? [0, 0])
    queueMicrotask(() => unwatch())
  })

  return {
    sheet,
    error,
    question,
    group,
    questions,
    current,
    answers,
    done,
    canUndo: computed(() => steps.value.length > 0),
    goTo,
    step,
    mark,
    undo,
    comment,
    setRubric,
  }
}
