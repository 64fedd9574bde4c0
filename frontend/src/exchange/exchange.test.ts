import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { FoundEntry, Message } from '@/api/types'
import { useImport } from './useImport'

const said = (sentence: string): Message => ({ code: 'tried', params: {}, sentence })
const mending = vi.hoisted(() => ({ replies: [] as unknown[], given: [] as string[] }))
vi.mock('@/api/http', async (original) => ({
  ...(await original<object>()),
  api: {
    POST: async () => ({ data: mending.replies.shift() }),
    GET: async () => ({ data: mending.replies.shift() }),
    DELETE: async () => ({ data: mending.given.push('up') }),
  },
}))

const item = { id: 'a', kind: 'page', prompt: 'Tides' } as FoundEntry['item']
const understood: FoundEntry = { place: said('Line 1'), text: 'Tides', item, sentences: [] }
const not: FoundEntry = {
  place: said('Line 4'),
  text: 'The ____',
  item: null,
  sentences: [said('What is missing?')],
}
const empty = { title: '', about: {}, notes: [], columns: [], previews: {}, asks: [], most_in_set: 300 }

describe('bringing in', () => {
  const sent: FormData[] = []
  let replies: unknown[] = []

  beforeEach(() => {
    sent.length = 0
    localStorage.clear()
    vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
      sent.push(init.body as FormData)
      const reply = replies.shift() as object
      const body = 'entries' in reply ? { found: reply } : 'state' in reply ? { job: reply } : { set: reply }
      return new Response(JSON.stringify(body), {
        headers: { 'Content-Type': 'application/json' },
      })
    })
  })
  afterEach(() => vi.unstubAllGlobals())

  it('holds the adding up until all is mended or left out', async () => {
    replies = [{ ...empty, entries: [understood, not] }]
    const incoming = useImport()
    await incoming.readText('…')
    expect(incoming.usable.value).toHaveLength(1)
    expect(incoming.unsettled.value).toHaveLength(1)
    incoming.rows.value[1]!.out = true
    expect(incoming.unsettled.value).toHaveLength(0)
  })

  it('puts what a mended entry has become in its place', async () => {
    replies = [{ ...empty, entries: [not, understood] }]
    mending.replies = [{ entries: [understood, understood] }, { entries: [] }]
    const incoming = useImport()
    await incoming.readText('…')
    expect(await incoming.mend(incoming.rows.value[0]!, 'two of them')).toBe(true)
    expect(incoming.rows.value).toHaveLength(3)
    expect(await incoming.mend(incoming.rows.value[0]!, ' ')).toBe(false)
    expect(incoming.rows.value[0]!.entry.sentences?.[0]?.sentence).toContain('nothing left')
  })

  it('leaves out at once whatever was not understood', async () => {
    replies = [{ ...empty, entries: [not, understood, not] }]
    const incoming = useImport()
    await incoming.readText('…')
    incoming.leaveOutTheRest()
    expect(incoming.rows.value.map((row) => row.out)).toEqual([true, false, true])
    expect(incoming.unsettled.value).toHaveLength(0)
  })

  it('gives a use to one column only, and says so to the server, which remembers it', async () => {
    const column = (heading: string, use: string) => ({ heading, use, example: '' })
    const found = { ...empty, entries: [], columns: [column('Frage', ''), column('Text', 'question')] }
    const file = new File(['a;b'], 'class.csv')
    replies = [found, found]
    const incoming = useImport()
    await incoming.readFile(file)
    await incoming.useColumn(0, 'question')
    expect(sent[1]!.get('choices')).toBe('{"0":"question","1":""}')
  })

  it('leaves out from the start what asks nothing', async () => {
    replies = [{ ...empty, entries: [understood, { ...understood, out: true }] }]
    const incoming = useImport()
    await incoming.readText('…')
    expect(incoming.usable.value).toHaveLength(1)
    expect(incoming.doubtful.value).toHaveLength(0)
  })

  it('takes the reading that is chosen, and is sure of it then', async () => {
    const says = said('Right: “Reef”')
    const other = { id: 'b', kind: 'page', prompt: 'Ebb' } as FoundEntry['item']
    replies = [
      {
        ...empty,
        entries: [
          {
            ...not,
            sentences: [{ ...said('Choose one.'), code: 'key_fits_both' }, said('Left out: a hint.')],
            sure: false,
            readings: [
              { says, item },
              { says, item: other },
            ],
          },
        ],
      },
    ]
    const incoming = useImport()
    await incoming.readText('…')
    expect(incoming.unsettled.value).toHaveLength(1)
    incoming.choose(incoming.rows.value[0]!, 1)
    expect(incoming.rows.value[0]!.entry.item?.prompt).toBe('Ebb')
    expect(incoming.rows.value[0]!.entry.sentences?.map((one) => one.sentence)).toEqual(['Left out: a hint.'])
    expect(incoming.doubtful.value).toHaveLength(0)
  })

  it('reads the same text once more with the answer to what was asked of it', async () => {
    replies = [
      { ...empty, entries: [] },
      { ...empty, entries: [] },
    ]
    const incoming = useImport()
    await incoming.readText('a table')
    await incoming.answer('key', 'place')
    expect(sent.map((one) => [one.get('text'), one.get('choices')])).toEqual([
      ['a table', '{}'],
      ['a table', '{"key":"place"}'],
    ])
  })

  it('becomes several sets where one cannot hold it', async () => {
    replies = [
      { ...empty, most_in_set: 2, entries: [understood, understood, understood] },
      { id: 7 },
      { id: 8 },
    ]
    const incoming = useImport()
    await incoming.readText('…')
    expect(await incoming.add('Tides', null)).toEqual({ id: 7 })
    const wanted = sent.slice(1).map((one) => JSON.parse(String(one.get('wanted'))))
    expect(wanted.map(({ title, items }) => [title, items.length])).toEqual([
      ['Tides (1 of 2)', 2],
      ['Tides (2 of 2)', 1],
    ])
  })

  it('goes on where it was after the page was loaded again', async () => {
    replies = [{ ...empty, entries: [not, understood] }]
    const before = useImport()
    await before.readText('…')
    before.rows.value[0]!.out = true
    const kept = before.kept()!
    const after = useImport()
    await after.goOn(structuredClone(kept))
    expect(after.rows.value.map((row) => row.out)).toEqual([true, false])
    before.startAnew()
    expect(before.kept()).toBeNull()
  })

  describe('a long file', () => {
    const job = { id: 5, title: 'Reading Ropes.pdf', state: 'running', done: 3, total: 20, refused: null }
    const ropes = new File(['%PDF'], 'Ropes.pdf')
    beforeEach(() => {
      vi.useFakeTimers()
      mending.given = []
    })
    afterEach(() => vi.useRealTimers())

    it('is read aside; its questions are added without its being sent once more', async () => {
      replies = [job, { ...job, id: 6 }]
      mending.replies = [
        [{ ...job, done: 9 }],
        [{ ...job, state: 'done' }],
        { ...empty, entries: [understood] },
      ]
      const incoming = useImport()
      const reading = incoming.readFile(ropes)
      await vi.advanceTimersByTimeAsync(600)
      expect(incoming.job.value?.done).toBe(9)
      await vi.advanceTimersByTimeAsync(600)
      await reading
      expect([incoming.rows.value.length, incoming.job.value]).toEqual([1, null])
      mending.replies = [[{ ...job, id: 6, state: 'done' }], { id: 7 }]
      const adding = incoming.add('Ropes', null)
      await vi.advanceTimersByTimeAsync(600)
      expect(await adding).toEqual({ id: 7 })
      expect([sent[1]!.get('reading'), sent[1]!.get('file')]).toEqual(['5', null])
    })

    it('is given up, and nothing is found then', async () => {
      replies = [job]
      mending.replies = [[]]
      const incoming = useImport()
      const reading = incoming.readFile(ropes)
      await vi.advanceTimersByTimeAsync(100)
      await incoming.stop()
      await vi.advanceTimersByTimeAsync(600)
      await reading
      expect([mending.given, incoming.found.value, incoming.error.value]).toEqual([['up'], null, ''])
      expect(incoming.kept()).toBeNull()
    })

    it('says why it came to nothing', async () => {
      replies = [job]
      mending.replies = [[{ ...job, state: 'failed', refused: said('This document is damaged.') }]]
      const incoming = useImport()
      const reading = incoming.readFile(ropes)
      await vi.advanceTimersByTimeAsync(600)
      await reading
      expect(incoming.error.value).toBe('This document is damaged.')
    })

    it('is waited for once more after the page was loaded again', async () => {
      replies = [job]
      mending.replies = []
      const before = useImport()
      void before.readFile(ropes)
      await vi.advanceTimersByTimeAsync(100)
      const kept = structuredClone(before.kept()!)
      mending.replies = [
        [{ ...job, state: 'done' }],
        [{ ...job, state: 'done' }],
        { ...empty, entries: [understood] },
      ]
      const after = useImport()
      const goingOn = after.goOn({ ...kept, reading: { ...job, state: 'done' } as typeof kept.reading })
      mending.replies = [{ ...empty, entries: [understood] }]
      await vi.advanceTimersByTimeAsync(10)
      await goingOn
      expect(after.rows.value).toHaveLength(1)
    })
  })
})
