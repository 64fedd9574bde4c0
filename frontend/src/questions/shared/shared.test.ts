import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import FogPicture from './FogPicture.vue'
import LineList from '@/questions/editing/LineList.vue'
import MediaView from '@/media/shown/MediaView.vue'
import StrictnessChip from '@/questions/editing/StrictnessChip.vue'
import { FOG_WITHOUT_LIMIT_MS, fogOrder, fogParts, timeGone } from './fog'
import { lineHtml, watchFormulas } from './formulas'
import { plainText } from './richtext'
import { runOf, textOf } from './lines'
import { placeDots } from './numbers'

const picture = { media: 'm', width: 100, height: 60, description: 'A lighthouse' }

describe('fog', () => {
  it('lifts every part once, in an order that the question alone decides', () => {
    for (const fog of ['light', 'medium', 'dense'] as const) {
      const { columns, rows } = fogParts(fog)
      const order = fogOrder('question-1', columns * rows)
      expect([...order].sort((a, b) => a - b)).toEqual(order.map((_, index) => index))
      expect(order).toEqual(fogOrder('question-1', columns * rows))
      expect(order).not.toEqual(fogOrder('question-2', columns * rows))
    }
  })

  it('is denser by degree, and clear before the time is up', () => {
    const parts = (['light', 'medium', 'dense'] as const).map((fog) => fogParts(fog))
    const counts = parts.map(({ columns, rows }) => columns * rows)
    expect(counts).toEqual([...counts].sort((a, b) => a - b))
    expect(parts.every(({ clearAt }) => clearAt < 1)).toBe(true)
  })

  it('follows the server’s clock, with a limit or without, and is gone once the question is closed', () => {
    const shown = { opened_at: 1000, item: { time_limit: 20 } }
    expect(timeGone(shown, true, 6000)).toBe(0.25)
    expect(timeGone(shown, true, 99_000)).toBe(1)
    expect(timeGone(shown, true, 0)).toBe(0)
    expect(timeGone({ ...shown, item: {} }, true, 1000 + FOG_WITHOUT_LIMIT_MS / 2)).toBe(0.5)
    expect(timeGone(shown, false, 1001)).toBe(1)
  })

  it('hides what the picture shows until it is clear', async () => {
    const view = mount(FogPicture, { props: { picture, fog: 'medium', item: 'q', gone: 0.3 } })
    expect(view.find('img').attributes('alt')).not.toContain('lighthouse')
    const lifted = view.findAll('[data-fog] span').filter((part) => part.classes('opacity-0'))
    expect(lifted).toHaveLength(Math.floor((0.3 / 0.75) * 24))
    await view.setProps({ gone: 0.8 })
    expect(view.find('img').attributes('alt')).toBe('A lighthouse')
    expect(view.find('[data-fog]').exists()).toBe(false)
  })
})

it('knows which way a text runs by its first letter', () => {
  expect(['<b>1.</b> أين؟ Here', 'Where is أين?', '<i>42 – ?</i>', ''].map(runOf)).toEqual([
    'rtl',
    'ltr',
    undefined,
    undefined,
  ])
})

describe('a list of lines', () => {
  const list = (texts: string[], more = {}) => {
    let number = 0
    return mount(LineList, {
      props: {
        lines: texts.map((text) => ({ id: text, text })),
        label: 'Line',
        fewest: 2,
        most: 4,
        blank: () => ({ id: `new${++number}`, text: '' }),
        ...more,
      },
      attachTo: document.body,
    })
  }
  const idsOf = (view: ReturnType<typeof list>): string[] | undefined =>
    (view.emitted('update')?.at(-1)?.[0] as { id: string }[] | undefined)?.map((line) => line.id)

  it('goes to the next line with Enter, and makes one behind the last', async () => {
    const view = list(['a', 'b'])
    await view.findAll('textarea')[0]!.trigger('keydown', { key: 'Enter' })
    expect(document.activeElement).toBe(view.findAll('textarea')[1]!.element)
    await view.findAll('textarea')[1]!.trigger('keydown', { key: 'Enter' })
    expect(idsOf(view)).toEqual(['a', 'b', 'new1'])
  })

  it('never grows beyond its most, nor shrinks below its fewest', async () => {
    const full = list(['a', 'b', 'c', 'd'])
    await full.findAll('textarea')[3]!.trigger('keydown', { key: 'Enter' })
    expect(full.emitted('update')).toBeUndefined()
    const few = list(['a', ''])
    await few.findAll('textarea')[1]!.trigger('keydown', { key: 'Backspace' })
    expect(few.emitted('update')).toBeUndefined()
    expect(few.find('[aria-label="Remove Line 1"]').exists()).toBe(false)
  })

  it('takes a line away by its button or by Backspace in an empty one', async () => {
    const view = list(['a', 'b', ''])
    await view.find('[aria-label="Remove Line 2"]').trigger('click')
    expect(idsOf(view)).toEqual(['a', ''])
    await view.findAll('textarea')[2]!.trigger('keydown', { key: 'Backspace' })
    expect(idsOf(view)).toEqual(['a', 'b'])
  })

  it('of fixed lines is only written in', () => {
    expect(list(['True', 'False', 'x'], { fixed: true }).findAll('button')).toHaveLength(0)
  })
})

describe('media', () => {
  it('of each type is shown in its own way', () => {
    expect(
      mount(MediaView, { props: { media: picture } })
        .find('img')
        .attributes('alt'),
    ).toBe('A lighthouse')
    const film = { type: 'video' as const, media: 'f', captions: 'c', description: 'A boat' }
    const video = mount(MediaView, { props: { media: film } })
    expect(video.find('track').attributes('src')).toBe('/media/c/captions.vtt')
    expect(video.find('video').attributes('src')).toBe('/media/f/video')
  })

  it('offers the words of a sound, and keeps them folded', async () => {
    const sound = { type: 'sound' as const, media: 's', seconds: 2, transcript: 'à tribord' }
    const view = mount(MediaView, { props: { media: sound } })
    expect(view.text()).not.toContain('tribord')
    await view.find('button').trigger('click')
    expect(view.text()).toContain('à tribord')
    expect(
      mount(MediaView, { props: { media: { ...sound, transcript: '' } } })
        .find('button')
        .exists(),
    ).toBe(false)
  })

  it('plays from its start to its end', async () => {
    const sound = { type: 'sound' as const, media: 's', seconds: 9, start: 2, end: 4 }
    const view = mount(MediaView, { props: { media: sound } })
    const player = view.find('audio').element as HTMLAudioElement
    const pause = vi.fn()
    let at = 0
    Object.defineProperty(player, 'currentTime', { get: () => at, set: (value: number) => (at = value) })
    player.pause = pause
    await view.find('audio').trigger('play')
    expect(at).toBe(2)
    at = 4.1
    await view.find('audio').trigger('timeupdate')
    expect(pause).toHaveBeenCalled()
    await view.find('audio').trigger('play')
    expect(at).toBe(2)
  })
})

describe('how strict', () => {
  const chip = (strictness = {}) => mount(StrictnessChip, { props: { strictness } })

  it('is told in a few words', () => {
    expect(chip().find('button').text()).toContain('usual spelling')
    expect(chip({ typos: false, accents: false }).find('button').text()).toContain(
      'accents free, typos forgiven',
    )
    const all = { capitals: true, accents: true, articles: true, punctuation: true, typos: true }
    expect(chip(all).find('button').text()).toContain('exactly as written')
  })

  it('is changed by switches that say what they do', async () => {
    const view = chip()
    await view.find('button').trigger('click')
    const typos = view.findAll('label').find((label) => label.text().startsWith('Small typos'))!
    expect((typos.find('input').element as HTMLInputElement).checked).toBe(false)
    await typos.find('input').trigger('change')
    expect((view.emitted('update')![0] as [{ typos: boolean }])[0].typos).toBe(false)
  })
})

describe('formulas', () => {
  it('are set as MathML wherever they appear, once', async () => {
    Object.defineProperty(document, 'compatMode', { value: 'CSS1Compat' }) // as in every browser with a doctype
    const root = document.createElement('div')
    document.body.append(root)
    const stop = watchFormulas(root)
    root.innerHTML =
      '<p>So <span class="formula">\\frac{1}{2} &lt; x</span></p><span class="formula">\\nonsense{</span>'
    await vi.waitFor(() => expect(root.querySelectorAll('math')).toHaveLength(1))
    expect(root.querySelector('mfrac')).not.toBeNull()
    expect(root.querySelector<HTMLElement>('.formula')!.dataset.set).toBe('\\frac{1}{2} < x')
    root.append(document.createElement('i'))
    await nextTick()
    expect(root.querySelectorAll('math')).toHaveLength(1)
    stop()
  })
})

describe('a line of a list', () => {
  it('shows formulas as such and all else as it stands', () =>
    expect(lineHtml('<b> $\\sqrt{h} < 2$ & $5 and $6')).toBe(
      '&lt;b&gt; <span class="formula">\\sqrt{h} &lt; 2</span> &amp; $5 and $6',
    ))

  it('takes what the plain text of a prompt holds', () =>
    expect(plainText('**How far** is $d$?\nTell.')).toBe('How far is $d$? Tell.'))
})

describe('small helpers', () => {
  it('reads the words of a piece of HTML', () =>
    expect(textOf('a <strong>b</strong> &lt; c')).toBe('a b < c'))

  it('keeps a scale’s own ends', () => {
    const line = placeDots([{ value: 5, count: 1 }], { low: 4, high: 6 }, { low: 0, high: 10 })
    expect([line.low, line.high]).toEqual([0, 10])
    expect(line.place(5)).toBeCloseTo(0.5)
  })
})
