import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import CopyButton from './CopyButton.vue'
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

describe('a button that copies', () => {
  const ofNavigator = Object.getPrototypeOf(navigator) as object
  const clipboard = Object.getOwnPropertyDescriptor(ofNavigator, 'clipboard')!

  beforeEach(() => void Reflect.deleteProperty(ofNavigator, 'clipboard'))
  afterEach(() => {
    Object.defineProperty(ofNavigator, 'clipboard', clipboard)
    Reflect.deleteProperty(document, 'execCommand')
  })

  it('copies where the browser hides the clipboard, as on a server without TLS', async () => {
    expect(navigator.clipboard).toBeUndefined()
    const texts: string[] = []
    document.execCommand = (what) => {
      texts.push(`${what} ${(document.body.lastElementChild as HTMLTextAreaElement).value}`)
      return true
    }
    const view = mount(CopyButton, { props: { text: 'http://127.0.0.1/join/KELP427' } })
    await view.trigger('click')
    await vi.waitFor(() => expect(view.text()).toBe('Copied'))
    expect(texts).toEqual(['copy http://127.0.0.1/join/KELP427'])
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
