import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import GridPane from './GridPane.vue'
import LanternClock from './LanternClock.vue'

describe('a pane of the grid', () => {
  const words = (value: number | string | null, hidden = false) =>
    mount(GridPane, { props: { value, hidden } }).find('.sr-only').text()

  it.each([
    [1, 'right'],
    [0, 'wrong'],
    [0.5, 'part right, 50 %'],
    [null, 'no answer'],
    ['AC', 'AC'],
  ])('of %s is read as "%s"', (value, expected) => expect(words(value)).toBe(expected))

  it('tells nothing but that there is an answer while answers are hidden', () => {
    expect(words(1, true)).toBe('answered')
    expect(words('B', true)).toBe('answered')
    expect(words(null, true)).toBe('no answer')
  })
})

describe('the lantern', () => {
  const light = (share: number, lit = true): number => {
    const view = mount(LanternClock, { props: { share, lit, count: '19/27' } })
    return view.findAll('rect.lamp').reduce((sum, rect) => sum + Number(rect.attributes('height')), 0)
  }

  it('stands as high as the time that is left', () => {
    const whole = light(1)
    expect(light(0.5)).toBeCloseTo(whole / 2)
    expect(light(0.25)).toBeCloseTo(whole / 4)
    expect(light(0)).toBe(0)
  })

  it('is dark when nothing is on', () => expect(light(1, false)).toBe(0))
})
