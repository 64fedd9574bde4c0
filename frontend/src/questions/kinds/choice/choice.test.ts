import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import type { ItemOf, PublicItemOf } from '@/api/types'
import { LANGUAGE } from '@/ui/setLanguage'
import { blankItem } from '../../blank'
import Chips from './editing/Chips.vue'
import Editor from './editing/Editor.vue'
import Player from './Player.vue'
import Result from './Result.vue'
import { choice } from '.'

const LETTERS = ['A', 'B', 'C']
const kind = 'choice' as const

const item = (more: Partial<PublicItemOf<'choice'>> = {}): PublicItemOf<'choice'> => ({
  id: 'q1',
  kind: 'choice',
  prompt_html: 'Which?',
  several: false,
  options: LETTERS.map((letter) => ({ id: letter, letter, html: `Knot ${letter}` })),
  ...more,
})

const draft = (more: Partial<ItemOf<'choice'>> = {}): ItemOf<'choice'> => ({
  ...(blankItem('choice', 'q1') as ItemOf<'choice'>),
  options: LETTERS.map((id) => ({ id, text: `Knot ${id}`, right: id === 'B' })),
  ...more,
})

describe('a student who answers', () => {
  const play = (several: boolean, chosen: string[] = []) =>
    mount(Player, {
      props: {
        item: item({ several }),
        answer: chosen.length ? { kind: 'choice', chosen } : null,
        disabled: false,
      },
    })

  it('chooses one by radio buttons that a keyboard reaches', async () => {
    const view = play(false)
    const inputs = view.findAll('input')
    expect(inputs.map((input) => input.attributes('type'))).toEqual(['radio', 'radio', 'radio'])
    await inputs[1]!.trigger('change')
    expect(view.emitted('update')).toEqual([[{ kind: 'choice', chosen: ['B'] }]])
  })

  it('adds and takes away where several may be right', async () => {
    const view = play(true, ['A'])
    await view.findAll('input')[2]!.trigger('change')
    await view.findAll('input')[0]!.trigger('change')
    expect(view.emitted('update')).toEqual([[{ kind: 'choice', chosen: ['A', 'C'] }], [null]])
  })

  it('cannot change an answer that is sent', () => {
    const view = mount(Player, { props: { item: item(), answer: { kind, chosen: ['A'] }, disabled: true } })
    expect(view.find('fieldset').attributes('disabled')).toBeDefined()
  })

  it('reads on the button what will be sent', () => {
    expect(choice.sendLabel(item(), { kind: 'choice', chosen: ['C', 'A'] })).toBe('Send A, C')
    expect(choice.sendLabel(item(), null)).toBe('Choose an answer')
  })
})

describe('a result', () => {
  const counts = [2, 6, 0].map((count, index) => ({ id: LETTERS[index]!, count }))

  it('shows no figure and no key before they are shown', () => {
    const view = mount(Result, { props: { item: item() } })
    expect(view.text()).not.toMatch(/\d|right/)
  })

  it('fills each strip to its share and tells the right one in words', () => {
    const view = mount(Result, {
      props: { item: item(), tally: { kind, n: 8, counts }, answerKey: { kind, right: ['B'] } },
    })
    const widths = view.findAll('li > span:first-child').map((bar) => bar.attributes('style'))
    expect(widths).toEqual(['width: 25%;', 'width: 75%;', 'width: 0%;'])
    expect(view.findAll('li').map((row) => /right/.test(row.text()))).toEqual([false, true, false])
  })

  it('has no bar where nobody answered', () => {
    const none = counts.map((row) => ({ ...row, count: 0 }))
    const view = mount(Result, { props: { item: item(), tally: { kind, n: 0, counts: none } } })
    expect(view.html()).not.toContain('NaN')
  })

  it('tells a student which answer was theirs', () => {
    const view = mount(Result, { props: { item: item(), mine: { kind, chosen: ['C'] } } })
    expect(view.findAll('li')[2]!.text()).toContain('your answer')
  })
})

describe('a teacher who writes', () => {
  it('marks one option as right, and the mark leaves the other', async () => {
    const view = mount(Editor, { props: { item: draft() } })
    await view.find('input[name="right-q1"]').trigger('change')
    const [[changed]] = view.emitted('update') as [[ItemOf<'choice'>]]
    expect(changed.options!.map((option) => option.right)).toEqual([true, false, false])
  })

  it('marks several where several are right', async () => {
    const view = mount(Editor, { props: { item: draft({ form: 'several' }) } })
    await view.find('input[name="right-q1"]').trigger('change')
    const [[changed]] = view.emitted('update') as [[ItemOf<'choice'>]]
    expect(changed.options!.map((option) => option.right)).toEqual([true, true, false])
  })

  it('makes the next option with Enter on the last one', async () => {
    const view = mount(Editor, { props: { item: draft() } })
    await view.findAll('textarea')[2]!.trigger('keydown', { key: 'Enter' })
    const [[changed]] = view.emitted('update') as [[ItemOf<'choice'>]]
    expect(changed.options).toHaveLength(4)
  })

  it('takes an empty option away with Backspace, but never the last two', async () => {
    const options = [...draft().options!.slice(0, 2), { id: 'C', text: '', right: false }]
    const view = mount(Editor, { props: { item: draft({ options }) } })
    await view.findAll('textarea')[2]!.trigger('keydown', { key: 'Backspace' })
    expect((view.emitted('update') as [[ItemOf<'choice'>]])[0][0].options).toHaveLength(2)
    const two = mount(Editor, { props: { item: draft({ options: options.slice(1) }) } })
    await two.findAll('textarea')[1]!.trigger('keydown', { key: 'Backspace' })
    expect(two.emitted('update')).toBeUndefined()
  })

  it('has no mark to set on an opinion', () => {
    expect(
      mount(Editor, { props: { item: draft({ scored: false }) } }).findAll('input[name^="right"]'),
    ).toHaveLength(0)
  })

  it.each([
    ['de', ['Wahr', 'Falsch']],
    ['uk', ['Правда', 'Неправда']],
    ['sv', ['True', 'False']],
  ])('says true and false in the language of the set: %s', async (tag, words) => {
    const global = { provide: { [LANGUAGE as symbol]: () => tag } }
    const view = mount(Chips, { props: { item: draft({ form: 'one' }) }, global })
    view.findComponent({ name: 'Listbox' }).vm.$emit('update:modelValue', 'true_false')
    await vi.waitUntil(() => view.emitted('update'))
    const [[sent]] = view.emitted('update') as [[ItemOf<'choice'>]]
    expect(sent.options!.map((option) => option.text)).toEqual(words)
  })

  it('keeps what can be kept when the form changes', async () => {
    const view = mount(Chips, { props: { item: draft({ form: 'several' }) } })
    const listbox = view.findComponent({ name: 'Listbox' })
    listbox.vm.$emit('update:modelValue', 'true_false')
    await flushPromises()
    listbox.vm.$emit('update:modelValue', 'one')
    await flushPromises()
    const [[first], [second]] = view.emitted('update') as [[ItemOf<'choice'>], [ItemOf<'choice'>]]
    expect(first.options!.map((option) => [option.text, option.right])).toEqual([
      ['True', false],
      ['False', true],
    ])
    expect(second.options!.map((option) => option.right)).toEqual([false, true, false])
  })
})
