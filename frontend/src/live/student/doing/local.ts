/**
 * An attempt as this device has it: what the server told last, with what was done since and is still on its way.
 *
 * 1. What is done here is seen here at once, with a network or without.
 * 2. The server's word replaces what this device thought, question by question.
 * 3. A command's number is higher than any that the server, or this device, has given for the same thing.
 */
import type { AttemptMessage, AttemptReply, Mine, MyPaper, OnPaper, StudentCommand } from '@/api/types'

const itemOf = (ask: string): string => ask.slice(0, ask.lastIndexOf('.'))
const without = (all: readonly string[], one: string): string[] => all.filter((other) => other !== one)

const onPaper = (message: AttemptMessage, change: (paper: MyPaper) => MyPaper): AttemptMessage =>
  message.mine.paper ? { ...message, mine: { ...message.mine, paper: change(message.mine.paper) } } : message

const onQuestion = (
  message: AttemptMessage,
  ask: string,
  change: (question: OnPaper) => OnPaper,
): AttemptMessage => ({
  ...message,
  questions: message.questions.map((one) => (one.shown.ask === ask ? change(one) : one)),
})

function answered(message: AttemptMessage, ask: string, movesOn: boolean): AttemptMessage {
  const item = itemOf(ask)
  return onPaper(message, (paper) => {
    const next = paper.items[paper.items.indexOf(item) + 1]
    const kept = { ...paper, answered: [...without(paper.answered, item), item] }
    return movesOn && next && !paper.goes_round ? { ...kept, at: next } : kept
  })
}

/** The attempt once this is done. */
export function after(message: AttemptMessage, { command, number }: StudentCommand): AttemptMessage {
  switch (command.do) {
    case 'clear':
      return onPaper(
        onQuestion(message, command.ask, (one) => ({ ...one, answer: null, number })),
        (paper) => ({ ...paper, answered: without(paper.answered, itemOf(command.ask)) }),
      )
    case 'go_to':
      return onPaper(message, (paper) => ({ ...paper, at: command.item, went: Math.max(paper.went, number) }))
    case 'flag':
      return onPaper(message, (paper) => ({
        ...paper,
        flagged: command.flagged
          ? [...without(paper.flagged, command.item), command.item]
          : without(paper.flagged, command.item),
        went: Math.max(paper.went, number),
      }))
    case 'move':
      return { ...message, mine: { ...message.mine, moved: Math.max(message.mine.moved ?? 0, number) } }
    case 'answer':
    case undefined: {
      const { ask, answer, moves_on: movesOn = false } = command
      return answered(
        onQuestion(message, ask, (one) => ({ ...one, answer, number })),
        ask,
        movesOn,
      )
    }
    default:
      return message
  }
}

/** The attempt after the server's reply to a command. */
export function told(message: AttemptMessage, said: StudentCommand, reply: AttemptReply): AttemptMessage {
  const done = after(message, said)
  const news = new Map(reply.questions.map((one) => [one.shown.item.id, one]))
  const questions = done.questions.map((one) => news.get(one.shown.item.id) ?? one)
  const known = new Set(questions.map((one) => one.shown.item.id))
  return {
    ...done,
    now: reply.now,
    mine: reply.mine,
    questions: [...questions, ...reply.questions.filter((one) => !known.has(one.shown.item.id))],
  }
}

/** The question, or page, that is on. */
export const questionOn = (message: AttemptMessage): OnPaper | null =>
  message.questions.find((one) => one.shown.item.id === message.mine.paper?.at) ?? null

/** One's own part, with what belongs to the question that is on. */
export function mineOf(message: AttemptMessage): Mine {
  const on = questionOn(message)
  const { paper } = message.mine
  if (!on || !paper) return message.mine
  return {
    ...message.mine,
    ask: on.shown.ask ?? null,
    number: on.number,
    answer: on.answer,
    mark: on.mark,
    forgiven: on.forgiven,
    left_out: on.left_out,
    paper: { ...paper, reached_at: on.reached_at ?? paper.reached_at, due: on.due },
  }
}
