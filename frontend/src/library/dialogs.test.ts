/** A set tried out, on its own. */
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { useTrial } from './useTrial'

const calls = vi.hoisted(() => ({ replies: {} as Record<string, unknown>, sent: [] as unknown[] }))
vi.mock('@/api/http', async (original) => {
  const reply = async (path: string, options?: { body?: unknown }) => {
    calls.sent.push({ path, body: options?.body })
    return { data: calls.replies[path] }
  }
  return { ...(await original<object>()), api: { GET: reply, POST: reply } }
})

beforeEach(() => {
  calls.replies = {}
  calls.sent = []
})

describe('a trial', () => {
  const begin = async () => {
    calls.replies['/api/sets/{set_id}'] = { items: [{ item: { id: 'q1' } }, { item: { id: 'q2' } }] }
    calls.replies['/api/trial/{set_id}'] = { view: { phase: 'open' }, mine: { mark: null } }
    const trial = effectScope(true).run(() => useTrial(1))!
    await flushPromises()
    return trial
  }

  it('goes through the set, one item at a time and never beyond its ends', async () => {
    const trial = await begin()
    expect([trial.at.value, trial.count.value]).toEqual([0, 2])
    await trial.go(5)
    expect(trial.at.value).toBe(1)
    await trial.go(-3)
    expect(trial.at.value).toBe(0)
    expect(calls.sent.at(-1)).toMatchObject({ body: { item: 'q1', answer: null } })
  })

  it('sends an answer to be marked, and forgets it at the next item', async () => {
    const trial = await begin()
    trial.link.send('q1', { kind: 'letter', letter: 'A' })
    expect(trial.link.state.value).toBe('sent')
    await flushPromises()
    expect(calls.sent.at(-1)).toMatchObject({ body: { item: 'q1', answer: { letter: 'A' } } })
    await trial.go(1)
    expect(trial.link.state.value).toBe('none')
  })
})
