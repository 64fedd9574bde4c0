import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { api } from '@/api/http'
import { Refusal } from '@/api/refusal'
import type { ItemOf, PublicItemOf } from '@/api/types'
import Editor from './editing/Editor.vue'
import Player from './Player.vue'
import Result from './Result.vue'
import { placeDots, plainNumber } from '@/questions/shared/numbers'
import { READING } from '@/questions/shared/reading'
import { LANGUAGE } from '@/ui/setLanguage'
import { blankItem } from '../../blank'
import { numeric_entry } from '.'

const post = vi.spyOn(api, 'POST') as unknown as ReturnType<typeof vi.fn>

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

describe('how a number is read', () => {
  const reading = (read: () => Promise<string>) =>
    mount(Player, {
      props: { item, answer: null, disabled: false },
      global: { provide: { [READING as symbol]: read } },
    })

  it('is told before it is sent', async () => {
    const view = reading(() => Promise.resolve('1234 M'))
    await view.find('input').setValue('1,234')
    await vi.waitFor(() => expect(view.text()).toContain('Read as 1234 M'))
    expect(view.emitted('update')).toEqual([[{ kind, text: '1,234' }]])
  })

  it('is told where it cannot be, and then nothing can be sent', async () => {
    const view = reading(() =>
      Promise.reject(
        new Refusal({ code: 'other_unit_wanted', family: 'bad_answer', sentence: 'Give it in M.' }),
      ),
    )
    await view.find('input').setValue('3 km')
    await vi.waitFor(() => expect(view.text()).toContain('Give it in M.'))
    expect(view.emitted('update')!.at(-1)).toEqual([null])
  })

  it('is left to the server where there is no connection', async () => {
    const read = vi.fn(() => Promise.reject(new Refusal({ code: 'offline', sentence: 'No connection.' })))
    const view = reading(read)
    await view.find('input').setValue('3')
    await vi.waitFor(() => expect(read).toHaveBeenCalled())
    await flushPromises()
    expect(view.emitted('update')).toEqual([[{ kind, text: '3' }]])
    expect(view.text()).not.toContain('No connection')
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
      { value: '3', count: 2 },
      { value: '5', count: 1 },
    ],
    quartiles: [3, 3, 4] as [number, number, number],
  }

  it('has a dot for each answer, and the right number in words once it is shown', () => {
    const view = mount(Result, {
      props: { item, tally, answerKey: { kind, value: '3', low: '2.9', high: '3.1' } },
    })
    expect(view.findAll('circle')).toHaveLength(3)
    expect(view.text()).toContain('3 M (2.9 to 3.1 M counts)')
  })

  it('tells nothing before there is a result', () => {
    const view = mount(Result, { props: { item } })
    expect(view.text()).toBe('Type a number in M.')
  })
})

describe('a teacher who writes', () => {
  const changes = (view: ReturnType<typeof mount<typeof Editor>>) =>
    (view.emitted('update') as [ItemOf<'numeric_entry'>][]).map(([changed]) => changed)

  async function type(
    view: ReturnType<typeof mount<typeof Editor>>,
    field: number,
    text: string,
  ): Promise<void> {
    const input = view.findAll('input')[field]!
    await input.trigger('focus')
    await input.setValue(text)
    await input.trigger('blur')
    await flushPromises()
  }

  it('tells an empty field from zero', async () => {
    const view = mount(Editor, {
      props: { item: blankItem('numeric_entry', 'n') as ItemOf<'numeric_entry'> },
    })
    await type(view, 0, '0')
    await type(view, 0, '')
    expect(changes(view).map((item) => item.value)).toEqual(['0', null])
  })

  it('is read by the server in the language of the set, with every figure', async () => {
    post.mockResolvedValue({ data: { value: '12500', rest: '', sentence: '' } })
    const view = mount(Editor, {
      props: { item: blankItem('numeric_entry', 'n') as ItemOf<'numeric_entry'> },
      global: { provide: { [LANGUAGE as symbol]: () => 'de' } },
    })
    await type(view, 0, '12.500')
    expect(post).toHaveBeenCalledWith('/api/sets/read-number', { body: { text: '12.500', language: 'de' } })
    expect(changes(view).at(-1)!.value).toBe('12500')
  })

  it('is told why a text is no number, and what was typed stays', async () => {
    post.mockResolvedValue({ data: { value: null, rest: '', sentence: 'Type a number.' } })
    const view = mount(Editor, {
      props: { item: blankItem('numeric_entry', 'n') as ItemOf<'numeric_entry'> },
    })
    await type(view, 0, 'a dozen')
    expect(view.text()).toContain('Type a number.')
    expect(view.find('input').element.value).toBe('a dozen')
    expect(view.emitted('update')).toBeUndefined()
  })

  it('leaves "1." alone on the way to 1.05', async () => {
    post.mockImplementation((_path: string, { body }: { body: { text: string } }) =>
      Promise.resolve({
        data: { value: String(Number(body.text.replace(',', '.'))), rest: '', sentence: '' },
      }),
    )
    const draft = {
      ...(blankItem('numeric_entry', 'n') as ItemOf<'numeric_entry'>),
      accepts: 'absolute' as const,
    }
    const view = mount(Editor, { props: { item: draft } })
    const tolerance = view.findAll('input')[1]!
    await tolerance.trigger('focus')
    for (const text of ['1', '1.', '1.0', '1,05']) {
      await tolerance.setValue(text)
      await vi.waitFor(() => expect(view.emitted('update')).toBeTruthy())
      await view.setProps({ item: changes(view).at(-1)! })
      expect(tolerance.element.value).toBe(text)
    }
    await tolerance.trigger('blur')
    await flushPromises()
    await view.setProps({ item: changes(view).at(-1)! })
    expect(view.props('item').tolerance).toBe('1.05')
    expect(tolerance.element.value).toBe('1.05')
  })
})
