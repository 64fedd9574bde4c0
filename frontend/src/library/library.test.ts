import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Item, SetRow } from '@/api/types'
import { mediaFileIn } from '@/media'
import { wavOf } from '@/media/wav'
import { blankItem } from '@/questions/blank'
import AboutSet from './AboutSet.vue'
import { useHistory } from './history'
import ItemGlance from '@/questions/ItemGlance.vue'
import { sorted } from './sorting'
import TagsField from './TagsField.vue'
import { branchesOf, inside } from './useFolders'

const row = (title: string, updated: string, run: string | null): SetRow =>
  ({ id: 1, title, updated_at: updated, last_run: run }) as SetRow

describe('a list of sets', () => {
  const rows = [
    row('Tides 10', '2026-01-02', null),
    row('tides 2', '2026-01-03', '2026-02-01'),
    row('Åland', '2026-01-01', '2026-03-01'),
  ]

  it('is sorted as a person would', () => {
    expect(sorted(rows, 'name').map((one) => one.title)).toEqual(['Åland', 'tides 2', 'Tides 10'])
    expect(sorted(rows, 'changed')[0]!.title).toBe('tides 2')
    expect(sorted(rows, 'run').map((one) => one.title)).toEqual(['Åland', 'tides 2', 'Tides 10'])
  })
})

describe('folders', () => {
  const folders = [
    { id: 3, name: 'Lights', parent: 1 },
    { id: 1, name: 'Harbour', parent: null },
    { id: 2, name: 'Birds', parent: null },
    { id: 4, name: 'Sectors', parent: 3 },
  ]

  it('stand as a tree, by name', () => {
    expect(branchesOf(folders).map((one) => [one.name, one.depth])).toEqual([
      ['Birds', 0],
      ['Harbour', 0],
      ['Lights', 1],
      ['Sectors', 2],
    ])
    expect(branchesOf(folders).at(-1)!.path).toBe('Harbour / Lights / Sectors')
  })

  it('know what lies inside them', () => {
    expect([...inside(folders, 1)].sort()).toEqual([1, 3, 4])
    expect([...inside(folders, 2)]).toEqual([2])
  })
})

describe('undo', () => {
  beforeEach(() => {
    sessionStorage.clear()
    vi.useFakeTimers()
  })

  it('goes on after a reload of the page', () => {
    const before = useHistory<number>('shelf')
    before.keep(1, '')
    before.keep(2, '')
    expect(before.undo(3)).toBe(2)
    vi.advanceTimersByTime(400)
    const after = useHistory<number>('shelf')
    expect(after.canUndo.value && after.canRedo.value).toBe(true)
    expect(after.redo(2)).toBe(3)
    expect(after.undo(3)).toBe(2)
    expect(after.undo(2)).toBe(1)
    expect(after.undo(1)).toBeUndefined()
  })

  it('begins anew where what was kept cannot be read', () => {
    sessionStorage.setItem('shelf', '{')
    expect(useHistory<number>('shelf').canUndo.value).toBe(false)
  })

  it('keeps apart what belongs to another set', () => {
    const one = useHistory<number>('a')
    one.keep(1, '')
    vi.advanceTimersByTime(400)
    expect(useHistory<number>('b').canUndo.value).toBe(false)
  })
})

describe('tags', () => {
  it('are parted by commas, each kept once', async () => {
    const view = mount(TagsField, { props: { label: 'Topics', tags: ['tides'] } })
    expect(view.find('input').element.value).toBe('tides')
    await view.find('input').setValue(' moon,, tides , moon')
    await view.find('input').trigger('change')
    expect(view.emitted('update')!.at(-1)).toEqual([['moon', 'tides']])
  })
})

describe('what a set is about', () => {
  const about = {
    language: 'sv',
    subject: 'Seamanship',
    level_from: 6,
    level_to: 8,
    topics: ['ropes'],
    tags: [],
  }
  const view = (more = {}) =>
    mount(AboutSet, {
      props: { about: { ...about, ...more }, madeFrom: null, isPrivate: false },
      global: { stubs: ['RouterLink', 'MediaSlot'] },
    })

  it('is told in one line', () => {
    expect(view().text()).toContain('Seamanship · years 6 to 8 · Svenska · ropes')
    expect(view({ level_from: null }).text()).toContain('to year 8')
  })

  it('opens where it stands, and takes no school year that is none', async () => {
    const opened = view()
    await opened.find('button').trigger('click')
    const [from] = opened.findAll('input[type="number"]')
    await from!.setValue('40')
    await from!.setValue('7')
    const changes = opened.emitted('update') as [{ level_from: number | null }][]
    expect(changes.map(([change]) => change.level_from)).toEqual([null, 7])
  })
})

describe('a glance at an item', () => {
  const glance = (item: Item): string => mount(ItemGlance, { props: { item } }).text().replace(/\s+/g, ' ')

  it('tells its words, and ticks what is right, whatever its kind is', () => {
    const item = { ...blankItem('choice', 'q'), prompt: 'Which **knot**?' } as Item & { options: object[] }
    item.options = [
      { id: 'a', text: 'Bowline', right: true },
      { id: 'b', text: 'Reef', right: false },
    ]
    expect(glance(item)).toBe('ChoiceWhich knot?✓ Bowline · Reef')
  })

  it('tells pairs, spellings and gaps', () => {
    const pairs = [{ id: 'a', left: 'port', partner_id: 'b', right: 'bâbord' }]
    expect(glance({ ...blankItem('match', 'q'), pairs } as Item)).toContain('port – bâbord')
    expect(glance({ ...blankItem('text_entry', 'q'), accepts: ['moon'] } as Item)).toContain('moon')
    expect(glance({ ...blankItem('gap_fill', 'q'), text: 'The [tide]' } as Item)).toContain('The [tide]')
  })

  it('tells a number with what it may be off by', () => {
    const number = (more: object): string =>
      glance({ ...blankItem('numeric_entry', 'q'), unit: 'm', ...more } as Item)
    expect(number({ value: '38' })).toContain('✓ 38 m')
    expect(number({ value: '38', accepts: 'absolute', tolerance: '2' })).toContain('✓ 38 ± 2 m')
    expect(number({ value: '38', accepts: 'percent', tolerance: '5' })).toContain('✓ 38 ± 5 % m')
    expect(number({ value: null, accepts: 'range', low: '5.5', high: '6.5' })).toContain('✓ 5.5 – 6.5 m')
    expect(glance({ ...blankItem('slider', 'q'), low: 1 } as Item)).not.toContain('–')
  })
})

describe('files', () => {
  it('of a picture, sound or video are taken from what is dropped, others left', () => {
    const files = [
      new File([''], 'a.txt', { type: 'text/plain' }),
      new File([''], 'b.png', { type: 'image/png' }),
    ]
    expect(mediaFileIn({ files } as unknown as DataTransfer)?.name).toBe('b.png')
    expect(mediaFileIn({ files: files.slice(0, 1) } as unknown as DataTransfer)).toBeNull()
    expect(mediaFileIn(null)).toBeNull()
  })

  it('of a recording are WAV, its samples within bounds', async () => {
    const wav = wavOf(new Float32Array([0, 1, -2]), 8000)
    const view = new DataView(await wav.arrayBuffer())
    const text = (at: number) => String.fromCharCode(...[0, 1, 2, 3].map((byte) => view.getUint8(at + byte)))
    expect([text(0), text(8), text(36)]).toEqual(['RIFF', 'WAVE', 'data'])
    expect([view.getUint32(24, true), view.getUint32(40, true), view.byteLength]).toEqual([8000, 6, 50])
    expect([0, 2, 4].map((at) => view.getInt16(44 + at, true))).toEqual([0, 32767, -32767])
  })
})
