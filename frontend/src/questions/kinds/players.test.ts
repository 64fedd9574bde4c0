/** What a student's hands do on each kind, and what is sent then. */
import { mount, type VueWrapper } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Component } from 'vue'
import type { Kind, PublicItemOf, StudentAnswerOf } from '@/api/types'
import { registry } from '../registry'
import { misspoken } from '@/words/misspoken'

const line = (id: string, html = id) => ({ id, html })
const common = { id: 'q', prompt_html: '?' }

async function play<K extends Kind>(
  kind: K,
  item: Omit<PublicItemOf<K>, 'id' | 'prompt_html' | 'kind'>,
  more: { answer?: StudentAnswerOf<K>; disabled?: boolean } = {},
): Promise<VueWrapper> {
  const view = (await registry[kind].player()) as Component
  const props = { item: { ...common, kind, ...item }, answer: null, disabled: false, ...more }
  const shown = mount(view, { props, attachTo: document.body })
  expect(await misspoken(shown)).toEqual([])
  return shown
}

const last = (view: VueWrapper): unknown => view.emitted('update')?.at(-1)?.[0]

describe('text entry', () => {
  it('sends what is typed, and nothing while it is blank', async () => {
    const view = await play('text_entry', { dictation: false })
    await view.find('input').setValue('  ')
    expect(last(view)).toBeNull()
    await view.find('input').setValue('bowline')
    expect(last(view)).toEqual({ kind: 'text_entry', text: 'bowline' })
    expect(view.find('input').attributes('spellcheck')).toBe('false')
  })
})

describe('a slider', () => {
  const scale = { low: 0, high: 10, step: 2, unit: 'kn', low_label: '', high_label: '' }

  it('has no answer until it is moved', async () => {
    const view = await play('slider', scale)
    expect(view.text()).toContain('–')
    await view.find('[aria-label="One step more"]').trigger('click')
    expect(last(view)).toEqual({ kind: 'slider', value: 8 })
    await view.find('[aria-label="One step less"]').trigger('click')
    expect(last(view)).toEqual({ kind: 'slider', value: 6 })
  })

  it('never leaves its scale, and keeps whole steps', async () => {
    const view = await play('slider', { ...scale, step: 0.1, high: 0.3 })
    for (let press = 0; press < 9; press++) await view.find('[aria-label="One step more"]').trigger('click')
    expect(last(view)).toEqual({ kind: 'slider', value: 0.3 })
  })
})

describe('an order', () => {
  const lines = ['a', 'b', 'c'].map((id) => line(id))
  const item = { lines, first_label: '', last_label: '', scored: true }

  it('is changed by buttons, and the focus stays on the line', async () => {
    const view = await play('order', item)
    await view.find('[aria-label="Move c up"]').trigger('click')
    expect(last(view)).toEqual({ kind: 'order', order: ['a', 'c', 'b'] })
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Move c up')
    expect(view.find('[role="status"]').text()).toBe('c: place 2 of 3')
    await view.find('[aria-label="Move c up"]').trigger('click')
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Move c down')
  })

  it('can be sent as it stands', async () => {
    const view = await play('order', item)
    await view.findAll('button').at(-1)!.trigger('click')
    expect(last(view)).toEqual({ kind: 'order', order: ['a', 'b', 'c'] })
  })

  it('comes back as it was sent', async () => {
    const view = await play('order', item, {
      answer: { kind: 'order', order: ['c', 'a', 'b'] },
      disabled: true,
    })
    expect(view.findAll('li .prose').map((one) => one.text())).toEqual(['c', 'a', 'b'])
    expect(view.findAll('button').every((one) => one.attributes('disabled') !== undefined)).toBe(true)
  })
})

describe('a match', () => {
  const item = {
    left: [line('a', 'bâbord'), line('b', 'tribord')],
    right: [line('x', 'port'), line('y', 'starboard')],
  }

  it('gives a partner to one line only', async () => {
    const view = await play('match', item)
    const [first, second] = view.findAll('select')
    await first!.setValue('x')
    await view.setProps({ answer: last(view) })
    await second!.setValue('x')
    expect(last(view)).toEqual({ kind: 'match', matched: [{ left: 'b', right: 'x' }] })
    expect(first!.findAll('option')[1]!.text()).toMatch(/^A\s+port$/)
  })

  it('can be taken back', async () => {
    const view = await play('match', item, {
      answer: { kind: 'match', matched: [{ left: 'a', right: 'x' }] },
    })
    await view.find('select').setValue('')
    expect(last(view)).toBeNull()
  })
})

describe('classify', () => {
  it('puts each line into one group', async () => {
    const item = { members: [line('m'), line('n')], groups: [line('g'), line('h')] }
    const view = await play('classify', item, {
      answer: { kind: 'classify', placed: [{ member: 'm', group: 'g' }] },
    })
    await view.findAll('input')[1]!.trigger('change')
    await view.findAll('input')[2]!.trigger('change')
    expect(view.emitted('update')).toEqual([
      [{ kind: 'classify', placed: [{ member: 'm', group: 'h' }] }],
      [
        {
          kind: 'classify',
          placed: [
            { member: 'm', group: 'g' },
            { member: 'n', group: 'g' },
          ],
        },
      ],
    ])
    expect(view.findAll('fieldset legend').map((one) => one.text())).toEqual(['m', 'n'])
  })
})

describe('gap fill', () => {
  const stretches = [
    { html: 'The tide ', gap: 0, choices: [] },
    { html: ' for ', gap: 1, choices: [] },
    { html: ' hours.', gap: null, choices: [] },
  ]

  it('sends every gap in order, open ones empty', async () => {
    const view = await play('gap_fill', { way: 'typed', stretches, bank: [] })
    expect(view.findAll('input').map((one) => one.attributes('aria-label'))).toEqual(['Gap 1', 'Gap 2'])
    await view.findAll('input')[1]!.setValue('six')
    expect(last(view)).toEqual({ kind: 'gap_fill', texts: ['', 'six'] })
    await view.findAll('input')[1]!.setValue(' ')
    expect(last(view)).toBeNull()
  })

  it('offers the bank in each gap, and strikes out what is used', async () => {
    const view = await play('gap_fill', { way: 'bank', stretches, bank: ['ebb', 'six'] })
    await view.findAll('select')[0]!.setValue('ebb')
    expect(view.find('ul li').classes()).toContain('line-through')
    expect(
      view
        .findAll('select')[1]!
        .findAll('option')
        .map((one) => one.text()),
    ).toEqual(['…', 'ebb', 'six'])
  })

  it('gives a word as often as the bank has it, and moves it once it is used up', async () => {
    const view = await play('gap_fill', { way: 'bank', stretches, bank: ['the', 'the'] })
    const select = (gap: number) => view.findAll('select')[gap]!
    await select(0).setValue('the')
    expect(view.findAll('ul li.line-through')).toHaveLength(1)
    await select(1).setValue('the')
    expect(last(view)).toEqual({ kind: 'gap_fill', texts: ['the', 'the'] })
    const one = await play('gap_fill', { way: 'bank', stretches, bank: ['ebb', 'six'] })
    await one.findAll('select')[0]!.setValue('ebb')
    await one.findAll('select')[1]!.setValue('ebb')
    expect(last(one)).toEqual({ kind: 'gap_fill', texts: ['', 'ebb'] })
  })

  it('offers each gap its own choices', async () => {
    const own = stretches.map((one, index) => ({ ...one, choices: [`c${index}`] }))
    const view = await play('gap_fill', { way: 'chosen', stretches: own, bank: [] })
    expect(view.findAll('select')[1]!.text()).toContain('c1')
  })
})

describe('a place on a picture', () => {
  const picture = { media: 'chart', width: 100, height: 50, description: 'A chart' }
  const names = [{ id: 'a', name: 'The mole' }]

  it('is found with the arrow keys, farther with Shift', async () => {
    const view = await play('point', { names, picture })
    const group = view.find('[role="group"]')
    await group.trigger('keydown', { key: 'ArrowRight' })
    await group.trigger('keydown', { key: 'ArrowUp', shiftKey: true })
    expect(last(view)).toEqual({ kind: 'point', spot: { x: 0.52, y: 0.4 } })
    expect(view.find('[role="status"]').text()).toBe('The mark is 52 % across and 40 % down.')
  })

  it('is chosen by its name instead', async () => {
    const view = await play('point', { names, picture }, { answer: { kind: 'point', spot: { x: 0, y: 0 } } })
    await view.find('input').trigger('change')
    expect(last(view)).toEqual({ kind: 'point', area: 'a' })
  })

  it('stays on the picture, and still once it is sent', async () => {
    const view = await play(
      'point',
      { names, picture },
      { answer: { kind: 'point', spot: { x: 0.01, y: 0.5 } } },
    )
    await view.find('[aria-label="Move the mark left"]').trigger('click')
    expect(last(view)).toEqual({ kind: 'point', spot: { x: 0, y: 0.5 } })
    const sent = await play('point', { names, picture }, { disabled: true })
    await sent.find('[role="group"]').trigger('keydown', { key: 'ArrowLeft' })
    expect(last(sent)).toBeUndefined()
  })
})

describe('words of one’s own', () => {
  it('are counted down, and sent as they are', async () => {
    const view = await play('open_response', { longest: 40 })
    await view.find('textarea').setValue('Too little chain.')
    expect(last(view)).toEqual({ kind: 'open_response', text: 'Too little chain.' })
    expect(view.text()).toContain('23 of 40 characters left')
  })

  it('of a cloud leave empty fields out', async () => {
    const view = await play('word_cloud', { most: 3 })
    await view.findAll('input')[2]!.setValue(' salt ')
    expect(last(view)).toEqual({ kind: 'word_cloud', words: ['salt'] })
  })
})

describe('ratings, splits and letters', () => {
  it('rates each statement by itself, the ends told in words', async () => {
    const view = await play('rating_scale', {
      statements: [line('s'), line('t')],
      steps: 3,
      low_label: 'no',
      high_label: 'yes',
    })
    expect(
      view
        .findAll('input')
        .map((one) => one.attributes('aria-label'))
        .slice(0, 3),
    ).toEqual(['1, no', '2', '3, yes'])
    await view.findAll('input')[4]!.trigger('change')
    expect(last(view)).toEqual({ kind: 'rating_scale', ratings: [{ statement: 't', step: 2 }] })
  })

  it('is a split only when nothing is left over, and never more than there is', async () => {
    const view = await play('point_split', { options: [line('a'), line('b')], total: 10 })
    await view.findAll('input')[0]!.setValue('4')
    await view.findAll('input')[0]!.trigger('change')
    expect(last(view)).toBeNull()
    await view.findAll('input')[1]!.setValue('99')
    await view.findAll('input')[1]!.trigger('change')
    expect(last(view)).toEqual({
      kind: 'point_split',
      portions: [
        { option: 'a', points: 4 },
        { option: 'b', points: 6 },
      ],
    })
    expect(view.find('[aria-label="More for a"]').attributes('disabled')).toBeDefined()
  })

  it('sends a letter of those that are offered', async () => {
    const view = await play('letter', { letters: 3 })
    expect(view.findAll('input')).toHaveLength(3)
    await view.findAll('input')[2]!.trigger('change')
    expect(last(view)).toEqual({ kind: 'letter', letter: 'C' })
  })
})
