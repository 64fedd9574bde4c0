import { describe, expect, it } from 'vitest'
import { computed, nextTick, ref } from 'vue'
import type { StudentView } from '@/api/types'
import { announcement } from './announce'
import type { SentState } from './useSeat'

describe('what a screen reader is told', () => {
  function listen() {
    const view = ref<StudentView | null>(null)
    const state = ref<SentState>('none')
    const seconds = ref<number | null>(40)
    const spoken = announcement(
      computed(() => view.value),
      computed(() => state.value),
      computed(() => seconds.value),
    )
    return { view, state, seconds, spoken }
  }

  it('is the time at 30, 10 and 5 seconds', async () => {
    const { seconds, spoken } = listen()
    const told: string[] = []
    for (const now of [35, 30, 29, 11, 10, 6, 5, 4]) {
      seconds.value = now
      await nextTick()
      if (told.at(-1) !== spoken.value) told.push(spoken.value)
    }
    expect(told.filter(Boolean)).toEqual(['30 seconds left', '10 seconds left', '5 seconds left'])
  })

  it('is that the answer is sent, and no more time after that', async () => {
    const { state, seconds, spoken } = listen()
    state.value = 'sent'
    await nextTick()
    seconds.value = 10
    await nextTick()
    expect(spoken.value).toBe('Your answer is sent.')
  })

  it('is the result in words', async () => {
    const { view, spoken } = listen()
    const item = {
      id: 'q1',
      kind: 'choice' as const,
      prompt_html: 'Which?',
      several: false,
      options: ['A', 'B'].map((letter) => ({ id: letter, letter, html: letter })),
    }
    const counts = [
      { id: 'A', count: 3 },
      { id: 'B', count: 9 },
    ]
    const kind = 'choice' as const
    const shown = {
      item,
      ask: 'q1.1',
      round: 1,
      number: 1,
      tally: { kind, n: 12, counts },
      key: { kind, right: ['B'] },
    }
    view.value = { title: 'Knots', phase: 'revealed', step: 3, questions: 1, shown }
    await nextTick()
    expect(spoken.value).toBe('A: 3; B: 9, right')
  })
})
