import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { ItemOf, PublicItemOf } from '@/api/types'
import Editor from './Editor.vue'
import Player from './Player.vue'
import Result from './Result.vue'
import { placeDots, plainNumber } from '@/questions/shared/numbers'
import { numeric_entry } from '.'

const kind = 'numeric_entry' as const
const item: PublicItemOf<'numeric_entry'> = { id: 'n', kind, prompt_html: 'How far?', unit: 'M' }

describe('a student who types a number', () => {
  it('can send once there is a digit', async () => {
    const view = mount(Player, { props: { item, answer: null, disabled: false } })
    await view.find('input').setValue('-')
    await view.find('input').setValue('-3,5')
    expect(view.emitted('update')).toEqual([[null], [{ kind, text: '-3,5' }]])
    expect(numeric_entry.sendLabel(item, { kind, text: ' 3 ' })).toBe('Send 3')
  })
})

describe('a line of dots', () => {
  it('holds every value and the accepted range', () => {
    const { dots, place } = placeDots(
      [
        { value: 1, count: 2 },
        { value: 9, count: 1 },
      ],
      { low: 12, high: 14 },
    )
    for (const at of [...dots.map((dot) => dot.at), place(12), place(14)]) {
      expect(at).toBeGreaterThan(0)
      expect(at).toBeLessThan(1)
    }
    expect(dots[0]!.at).toBeLessThan(dots[1]!.at)
  })

  it('has a place for a single value', () => {
    expect(placeDots([{ value: 0, count: 3 }], null).dots[0]!.at).toBeCloseTo(0.5)
  })

  it('shows no tail of digits', () => expect(plainNumber(0.1 + 0.2)).toBe('0.3'))
})

describe('a result', () => {
  const tally = {
    kind,
    n: 3,
    values: [
      { value: 3, count: 2 },
      { value: 5, count: 1 },
    ],
    quartiles: [3, 3, 4] as [number, number, number],
  }

  it('has a dot for each answer, and the right number in words once it is shown', () => {
    const view = mount(Result, { props: { item, tally, answerKey: { kind, value: 3, low: 2.9, high: 3.1 } } })
    expect(view.findAll('circle')).toHaveLength(3)
    expect(view.text()).toContain('3 M (2.9 to 3.1 M counts)')
  })

  it('tells nothing before there is a result', () => {
    const view = mount(Result, { props: { item } })
    expect(view.text()).toBe('Type a number in M.')
  })
})

describe('a teacher who writes', () => {
  it('tells an empty field from zero', async () => {
    const draft = numeric_entry.blank('n') as ItemOf<'numeric_entry'>
    const view = mount(Editor, { props: { item: draft } })
    await view.find('input').setValue('0')
    await view.find('input').setValue('')
    const values = (view.emitted('update') as [ItemOf<'numeric_entry'>][]).map(([changed]) => changed.value)
    expect(values).toEqual([0, null])
  })

  it('leaves "0." alone on the way to 0.05, and takes a decimal comma', async () => {
    const draft = { ...(numeric_entry.blank('n') as ItemOf<'numeric_entry'>), accepts: 'absolute' as const }
    const view = mount(Editor, { props: { item: draft } })
    const tolerance = view.findAll('input')[1]!
    await tolerance.trigger('focus')
    for (const text of ['', '0', '0.', '0.0', '0,05']) {
      await tolerance.setValue(text)
      await view.setProps({ item: (view.emitted('update') as [ItemOf<'numeric_entry'>][]).at(-1)![0] })
      expect(tolerance.element.value).toBe(text)
    }
    expect(view.props('item').tolerance).toBe(0.05)
    await tolerance.trigger('blur')
    expect(tolerance.element.value).toBe('0.05')
  })
})
