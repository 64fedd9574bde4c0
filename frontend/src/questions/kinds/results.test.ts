/** What each kind's result tells: before there is one, counted, and with what is right. */
import { mount, type VueWrapper } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Component } from 'vue'
import type { Kind, KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import { blankItem } from '../blank'
import { editings } from '../editing'
import { KINDS, registry } from '../registry'
import { misspoken } from '@/words/misspoken'

const line = (id: string, html = id) => ({ id, html })

async function show<K extends Kind>(
  kind: K,
  item: Omit<PublicItemOf<K>, 'id' | 'prompt_html' | 'kind'>,
  told: { tally?: Omit<TallyOf<K>, 'kind'>; key?: Omit<KeyOf<K>, 'kind'>; mine?: StudentAnswerOf<K> } = {},
): Promise<VueWrapper> {
  const view = (await registry[kind].result()) as Component
  const props = {
    item: { id: 'q', prompt_html: '?', kind, ...item },
    tally: told.tally ? { kind, ...told.tally } : null,
    answerKey: told.key ? { kind, ...told.key } : null,
    mine: told.mine ?? null,
  }
  const shown = mount(view, { props })
  expect(await misspoken(shown)).toEqual([])
  return shown
}

const stripsOf = (view: VueWrapper): string[] =>
  view.findAll('li').map((one) => one.text().replace(/\s+/g, ' '))

describe('every kind', () => {
  it.each(KINDS)('%s has a name, a hint and an empty item of its own kind', (kind) => {
    const editing = editings[kind]
    expect(editing.label()).not.toBe('')
    expect(editing.hint()).not.toBe('')
    const blank = blankItem(kind, 'new')
    expect([blank.id, blank.kind]).toEqual(['new', kind])
    expect('scored' in blank && blank.scored === true && !!editing.isOpinionOnly).toBe(false)
  })

  it('has no two names alike', () => {
    expect(new Set(KINDS.map((kind) => editings[kind].label())).size).toBe(KINDS.length)
  })
})

describe('text entry', () => {
  const tally = {
    n: 4,
    others: 1,
    texts: [
      { text: 'bowlin', count: 2 },
      { text: 'bowline', count: 1 },
    ],
  }

  it('counts the answers, and says nothing of what is right before the key', async () => {
    const view = await show('text_entry', { dictation: false }, { tally })
    expect(stripsOf(view)).toEqual(['bowlin2', 'bowline1'])
    expect(view.text()).toContain('and 1 more')
  })

  it('puts the right ones first with the key', async () => {
    const view = await show(
      'text_entry',
      { dictation: false },
      { tally: { ...tally, right: ['bowline'] }, key: { accepts: ['bowline', 'bowline knot'] } },
    )
    expect(stripsOf(view)[0]).toBe('bowline✓ right1')
    expect(view.text()).toContain('right: bowline · bowline knot')
  })
})

describe('an order', () => {
  const item = { lines: [line('b'), line('a'), line('c')], first_label: 'weakest', last_label: '' }
  const placings = [
    { id: 'a', mean_place: 1.25, borda: 5, places: [3, 1, 0] },
    { id: 'b', mean_place: 2, borda: 3, places: [1, 2, 1] },
    { id: 'c', mean_place: 2.75, borda: 1, places: [0, 1, 3] },
  ]

  it('stands by Borda count with mean places, and with the key in the right order', async () => {
    const ranked = await show('order', item, { tally: { n: 4, placings } })
    expect(stripsOf(ranked)).toEqual(['1a1.3', '2b2', '3c2.8'])
    const right = await show('order', item, { tally: { n: 4, placings }, key: { order: ['c', 'b', 'a'] } })
    expect(stripsOf(right).map((text) => text.slice(0, 2))).toEqual(['1c', '2b', '3a'])
  })

  it('tells a student where each line stood', async () => {
    const view = await show('order', item, {
      key: { order: ['a', 'b', 'c'] },
      mine: { kind: 'order', order: ['b', 'a', 'c'] },
    })
    expect(stripsOf(view)[0]).toContain('yours: place 2')
  })

  it('is only listed before anybody answered', async () => {
    expect(stripsOf(await show('order', item))).toEqual(['b', 'a', 'c'])
  })
})

describe('a matrix', () => {
  const item = {
    left: [line('a', 'bâbord'), line('b', 'tribord')],
    right: [line('x', 'port'), line('y', 'starboard')],
  }
  const cells = [
    { left: 'a', right: 'x', count: 3 },
    { left: 'b', right: 'x', count: 1 },
  ]

  it('has a count in each cell, and light on what is right', async () => {
    const view = await show('match', item, {
      tally: { n: 4, cells },
      key: {
        matched: [
          { left: 'a', right: 'x' },
          { left: 'b', right: 'y' },
        ],
      },
      mine: { kind: 'match', matched: [{ left: 'b', right: 'x' }] },
    })
    const texts = view.findAll('tbody td').map((cell) => cell.text())
    expect(texts).toEqual(['✓3 right', '', '1 your answer', '✓0 right'])
    expect(view.findAll('tbody th').map((cell) => cell.text())).toEqual(['bâbord', 'tribord'])
  })

  it('shows empty cells and both sides before there is a result', async () => {
    const view = await show('match', item)
    expect(view.findAll('tbody td').every((cell) => cell.text() === '')).toBe(true)
    expect(view.text()).toContain('starboard')
  })
})

describe('gap fill', () => {
  const stretches = [
    { html: 'The tide ', gap: 0, choices: [] },
    { html: '.', gap: null, choices: [] },
  ]
  const item = { way: 'typed' as const, stretches, bank: [] }

  it('numbers its gaps, then fills them with what is right', async () => {
    expect((await show('gap_fill', item)).find('p').text()).toContain('Gap 1')
    const words = [
      { text: 'falls', count: 3, right: false },
      { text: 'rises', count: 2, right: true },
    ]
    const view = await show('gap_fill', item, {
      tally: { n: 5, gaps: [words] },
      key: { gaps: [['rises', 'climbs']] },
    })
    expect(view.find('p').text()).toBe('The tide rises.')
    expect(view.find('ol').text()).toMatch(/✓ rises2\s*falls3/)
  })
})

describe('numbers, words, ratings and splits', () => {
  it('tells the middle half on a scale', async () => {
    const scale = { low: 0, high: 10, step: 1, unit: 'kn', low_label: '', high_label: '' }
    const values = [
      { value: 4, count: 2 },
      { value: 6, count: 1 },
    ]
    const view = await show('slider', scale, {
      tally: { n: 3, values, quartiles: [4, 4, 5] },
      key: { low: 5, high: 6 },
    })
    expect(view.findAll('circle')).toHaveLength(3)
    expect(view.text()).toContain('The middle answer is 4 kn; the middle half lies from 4 to 5 kn.')
    expect(view.text()).toContain('right: 5 to 6 kn')
  })

  it('shows larger what was said more often, and what was merged', async () => {
    const words = [
      { text: 'waves', count: 4, merged: ['Wave'] },
      { text: 'salt', count: 1, merged: [] },
    ]
    const view = await show('word_cloud', { most: 3 }, { tally: { n: 5, words, others: 0 } })
    const sizes = view
      .findAll('li > span:first-child')
      .map((one) => parseFloat((one.element as HTMLElement).style.fontSize))
    expect(sizes[0]).toBeGreaterThan(sizes[1]!)
    expect(view.text()).toContain('Counted as one: waves, Wave')
  })

  it('tells mean, spread and number of ratings', async () => {
    const item = { statements: [line('s')], steps: 5, low_label: 'no', high_label: 'yes' }
    const statements = [{ id: 's', n: 3, mean: 3.333, spread: 1.155, counts: [0, 1, 0, 2, 0] }]
    const view = await show('rating_scale', item, { tally: { n: 3, statements } })
    expect(view.text()).toContain('3.33')
    expect(view.text()).toContain('± 1.16, n = 3')
    expect((await show('rating_scale', item)).text()).not.toContain('NaN')
  })

  it('tells the mean of a split', async () => {
    const portions = [
      { id: 'a', points: 13, mean: 6.5, share: 0.65 },
      { id: 'b', points: 7, mean: 3.5, share: 0.35 },
    ]
    const view = await show(
      'point_split',
      { options: [line('a'), line('b')], total: 10 },
      { tally: { n: 2, portions } },
    )
    expect(stripsOf(view)).toEqual(['Aa6.5', 'Bb3.5'])
  })

  it('maps points, the right area in the light', async () => {
    const picture = { media: 'm', width: 10, height: 10, description: 'A chart' }
    const area = {
      id: 'a',
      name: 'The mole',
      place: { shape: 'rectangle' as const, x: 0.1, y: 0.1, width: 0.2, height: 0.2 },
    }
    const view = await show(
      'point',
      { names: [], picture },
      {
        tally: {
          n: 2,
          points: [
            { x: 0.1, y: 0.2 },
            { x: 0.9, y: 0.9 },
          ],
          areas: [{ id: 'a', name: 'The mole', count: 1, right: true }],
          strays: 1,
        },
        key: { areas: [area] },
      },
    )
    expect(view.findAll('rect')).toHaveLength(1)
    expect(view.findAll('span.bg-ink')).toHaveLength(2)
    expect(view.text()).toMatch(/✓ The mole \(right\)1\s*elsewhere 1/)
  })

  it('lays open answers out as a wall', async () => {
    const view = await show('open_response', { longest: 500 }, { tally: { n: 45, texts: ['One', 'Two'] } })
    expect(stripsOf(view)).toEqual(['One', 'Two'])
    expect(view.text()).toContain('and 43 more')
  })
})
