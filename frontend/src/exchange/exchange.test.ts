import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { FoundEntry, Message } from '@/api/types'
import { textOfHtml } from './pastedHtml'
import { useImport } from './useImport'

describe('what is copied from a page', () => {
  it('keeps what is bold, the letters of lists, and the columns of tables', () => {
    const html =
      '<p>Which knot?</p><ol type="a"><li>Reef</li><li><b>Bowline</b></li></ol>' +
      '<table><tr><td>bow</td><td>front</td></tr><tr><td>stern</td><td>back</td></tr></table>'
    expect(textOfHtml(html)).toBe('Which knot?\n\na) Reef\n\nb) **Bowline**\n\nbow\tfront\n\nstern\tback')
  })

  it('numbers ordered lists from where they start, and marks others with dashes', () => {
    expect(textOfHtml('<ol start="3"><li>Tides</li></ol><ul><li>Ebb</li></ul>')).toBe('3. Tides\n\n- Ebb')
  })

  it('knows bold by its style, and does not take a wrapper of normal weight for it', () => {
    const html = '<b style="font-weight:normal"><span style="font-weight:700">Bowline</span> holds</b>'
    expect(textOfHtml(html)).toBe('**Bowline** holds')
  })

  it('leaves plain text to the browser', () => {
    expect(textOfHtml('<p>Which knot?</p><script>alert(1)</script>')).toBeNull()
  })
})

const said = (sentence: string): Message => ({ code: 'tried', params: {}, sentence })
const mending = vi.hoisted(() => ({ replies: [] as unknown[] }))
vi.mock('@/api/http', async (original) => ({
  ...(await original<object>()),
  api: { POST: async () => ({ data: mending.replies.shift() }) },
}))

const item = { id: 'a', kind: 'page', prompt: 'Tides' } as FoundEntry['item']
const understood: FoundEntry = { place: said('Line 1'), text: 'Tides', item, sentences: [] }
const not: FoundEntry = {
  place: said('Line 4'),
  text: 'The ____',
  item: null,
  sentences: [said('What is missing?')],
}
const empty = { title: '', about: {}, notes: [], columns: [], previews: {}, ways: [], way: '' }

describe('bringing in', () => {
  const sent: FormData[] = []
  let replies: unknown[] = []

  beforeEach(() => {
    sent.length = 0
    localStorage.clear()
    vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
      sent.push(init.body as FormData)
      return new Response(JSON.stringify(replies.shift()), {
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
})
