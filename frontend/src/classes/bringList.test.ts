/** A list that comes in: what has to be settled, what would change, and what is kept. */
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { ComparedRow, FoundList, Member } from '@/api/types'
import ListLine from './ListLine.vue'
import { isUnsettled, useBringList } from './useBringList'

const form = (name: string, more = {}) => ({
  name,
  sort_name: name,
  record_id: '',
  keypads: [],
  notes: '',
  ...more,
})
const row = (name: string, outcome: string, more = {}) =>
  ({
    row: { place: { code: 'place_row', params: {}, sentence: 'Row 2' }, form: form(name), why: null },
    outcome,
    member: null,
    changes: [],
    ...more,
  }) as unknown as ComparedRow
const ALVA = { id: 7, ...form('Alva Renner'), phrase: '', left_at: null } as unknown as Member
const LIST = {
  columns: [],
  notes: [],
  members: [ALVA],
  classes: [
    {
      source: '',
      name: '8C',
      subject: '',
      year: '',
      into: 1,
      missing: [],
      rows: [
        row('Bo Holt', 'new'),
        row('Alva Rener', 'doubtful', { member: 7, changes: ['name', 'sort_name', 'record_id'] }),
        row('Bo Holt', 'twice'),
        row('', 'unread'),
      ],
    },
  ],
} as unknown as FoundList

const kept = vi.fn()
vi.mock('@/api/http', async (original) => ({
  ...(await original<object>()),
  sendForm: async () => LIST,
  api: { POST: async (_path: string, { body }: { body: unknown }) => (kept(body), { data: [] }) },
}))

async function read() {
  const incoming = useBringList(() => 1)
  await incoming.readText('whatever')
  const [, doubtful, , unread] = incoming.groups.value[0]!.lines
  return { incoming, doubtful: doubtful!, unread: unread! }
}

describe('a list that comes in', () => {
  beforeEach(() => kept.mockClear())

  it('wants every doubtful and unread line settled', async () => {
    const { incoming, doubtful, unread } = await read()
    expect(incoming.unsettled.value).toHaveLength(2)
    doubtful.same = true
    unread.name = 'Cyrus Adeyemi'
    expect(incoming.unsettled.value).toHaveLength(0)
    unread.name = ''
    unread.out = true
    expect(isUnsettled(unread)).toBe(false)
  })

  it('keeps the name that the class knows, unless it is said otherwise', async () => {
    const { incoming, doubtful, unread } = await read()
    doubtful.same = true
    unread.out = true
    expect(incoming.counts.value).toMatchObject({ fresh: 1, changed: 1 })
    await incoming.keep()
    doubtful.renamed = true
    await incoming.keep()
    const names = kept.mock.calls.map(([body]) =>
      body.classes[0].rows.map((one: { form: { name: string }; member: number | null }) => [
        one.form.name,
        one.member,
      ]),
    )
    expect(names).toEqual([
      [
        ['Bo Holt', null],
        ['Alva Renner', 7],
      ],
      [
        ['Bo Holt', null],
        ['Alva Rener', 7],
      ],
    ])
  })

  it('takes somebody else as new', async () => {
    const { incoming, doubtful } = await read()
    doubtful.same = false
    expect(incoming.counts.value.fresh).toBe(3)
  })

  it('shows a doubtful one beside the member', () => {
    const line = {
      key: 1,
      found: LIST.classes[0]!.rows[1]!,
      name: '',
      same: null,
      renamed: false,
      out: false,
    }
    const view = mount(ListLine, { props: { line: line as never, member: ALVA } })
    expect(view.text()).toContain('Alva Rener')
    expect(view.findAll('button[aria-pressed]').map((one) => one.text())).toEqual([
      expect.stringContaining('The same person'),
      expect.stringContaining('Somebody else'),
    ])
  })
})
