/** The parts of the page: an entry to be mended, the columns of a spreadsheet, what a format leaves behind. */
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import type { FoundEntry, Message } from '@/api/types'
import ColumnUses from '@/ui/ColumnUses.vue'
import ExportDialog from './ExportDialog.vue'
import ImportEntry from './ImportEntry.vue'
import ImportSource from './ImportSource.vue'
import { i18n } from '@/words/teacher'

const said = (sentence: string): Message => ({ code: 'tried', params: {}, sentence })
const USES = { uses: { '': 'not used', question: 'question' }, needed: ['question'] }
const WAYS = [
  { format: 'archive', label: said('Everything in one file'), suffix: '.lantern.zip', left_out: [] },
  {
    format: 'qti3',
    label: said('Test package'),
    suffix: '.qti3.zip',
    left_out: [said('“Sea”: no such question.')],
  },
]
const copying = vi.hoisted(() => ({ reply: (() => ({})) as (...sent: unknown[]) => unknown }))
vi.mock('@/api/http', async (original) => ({
  ...(await original<object>()),
  api: { GET: async () => ({ data: WAYS }), POST: async (...sent: unknown[]) => copying.reply(...sent) },
}))

const item = {
  id: 'q',
  kind: 'choice',
  prompt: 'Which knot?',
  by: 'Fen O.',
  options: [
    { id: 'a', text: 'Reef', right: false },
    { id: 'b', text: 'Bowline', right: true },
  ],
} as unknown as FoundEntry['item']

const row = (entry: Partial<FoundEntry>, out = false) => ({
  key: 1,
  out,
  entry: { place: said('Line 3'), text: 'Which knot?', item: null, sentences: [], ...entry } as FoundEntry,
})

describe('an entry', () => {
  const show = (given: ReturnType<typeof row>) => mount(ImportEntry, { props: { row: given, busy: false } })
  const button = (view: ReturnType<typeof show>, words: string) =>
    view.findAll('button').find((one) => one.text().startsWith(words))!

  it('that was understood shows the question, what is right, and who wrote it', () => {
    const view = show(row({ item }))
    expect(view.text()).toContain('Which knot?')
    expect(view.text()).toContain('✓ Bowline')
    expect(view.text()).toContain('written by Fen O.')
    expect(view.find('textarea').exists()).toBe(false)
  })

  it('that brings a picture along shows it', () => {
    const withPictures = {
      ...(item as object),
      picture: { media: 'm1', description: 'A knot', width: 4, height: 3 },
      options: [{ id: 'a', text: '', media: { media: 'elsewhere' } }],
    } as unknown as FoundEntry['item']
    const previews = { m1: 'data:image/webp;base64,AAAA' }
    const view = mount(ImportEntry, { props: { row: row({ item: withPictures }), busy: false, previews } })
    expect(view.findAll('img').map((one) => [one.attributes('src'), one.attributes('alt')])).toEqual([
      ['data:image/webp;base64,AAAA', 'A knot'],
    ])
  })

  it('that was not understood says why and can be mended at once', async () => {
    const view = show(row({ sentences: [said('There is only one option.')] }))
    expect(view.text()).toContain('There is only one option.')
    await view.find('textarea').setValue('Which knot?\nAnswer: reef')
    await button(view, 'Read it again').trigger('click')
    expect(view.emitted('mend')).toEqual([['Which knot?\nAnswer: reef']])
  })

  it('that was understood is opened to be changed', async () => {
    const view = show(row({ item }))
    await button(view, 'Change').trigger('click')
    expect(view.find('textarea').element.value).toBe('Which knot?')
    await view.setProps({ row: row({ item, text: 'Another' }), busy: false })
    expect(view.find('textarea').exists()).toBe(false)
  })

  it('that had to be guessed says so, and is accepted', async () => {
    const view = show(row({ item, sure: false, sentences: [said('The order was guessed.')] }))
    expect(view.text()).toContain('The order was guessed.')
    await button(view, 'That is right').trigger('click')
    expect(view.emitted('accept')).toHaveLength(1)
    expect(button(show(row({ item, sure: true })), 'That is right')).toBeUndefined()
  })

  it('that can be read in two ways shows both, and is one of them once it is chosen', async () => {
    const readings = [
      { says: said('Right: “Reef”'), item: item! },
      { says: said('Right: “Bowline”'), item: item! },
    ]
    const view = show(row({ readings, sure: false, sentences: [said('The key fits twice.')] }))
    expect(view.find('textarea').exists()).toBe(false)
    expect(view.findAll('input[type=radio]').map((one) => (one.element as HTMLInputElement).checked)).toEqual(
      [false, false],
    )
    await view.findAll('input[type=radio]')[1]!.trigger('change')
    expect(view.emitted('choose')).toEqual([[1]])
  })

  it('that asks nothing is out, and is brought in as a page', async () => {
    const view = show(row({ item, out: true, text: 'Dear parents,' }, true))
    expect(view.text()).toContain('Dear parents,')
    await button(view, 'Bring it in as a page').trigger('click')
    expect(view.emitted('leave')).toEqual([[false]])
  })

  it('is left out and taken along again', async () => {
    const view = show(row({ sentences: [said('Why.')] }))
    await button(view, 'Leave it out').trigger('click')
    expect(view.emitted('leave')).toEqual([[true]])
    await view.setProps({ row: row({ sentences: [said('Why.')] }, true), busy: false })
    expect(view.text()).not.toContain('Why.')
    await button(view, 'Take it along').trigger('click')
    expect(view.emitted('leave')![1]).toEqual([false])
  })
})

describe('the columns', () => {
  const columns = [
    { heading: 'Frage', use: '', example: 'Which knot?' },
    { heading: '', use: 'right', example: 'Reef' },
  ]

  it('lie open while none of them asks, and a use is chosen for one', async () => {
    const view = mount(ColumnUses, { props: { columns, ...USES } })
    expect(view.find('details').attributes('open')).toBeDefined()
    expect(view.text()).toContain('1 of 2 columns is used')
    expect(view.text()).toContain('Column 2')
    await view.findAll('select')[0]!.setValue('question')
    expect(view.emitted('use')).toEqual([[0, 'question']])
  })

  it('are folded away once one of them asks', () => {
    const view = mount(ColumnUses, { props: { columns: [{ ...columns[0]!, use: 'question' }], ...USES } })
    expect(view.find('details').attributes('open')).toBeUndefined()
  })
})

describe('where questions come from', () => {
  const show = () =>
    mount(ImportSource, { props: { busy: false }, attachTo: document.body, global: { plugins: [i18n] } })

  const clipboardData = {
    getData: (type: string) => (type === 'text/html' ? '<p>A <b>bowline</b></p>' : 'A bowline'),
  }

  it('reads a text, and has the server write out what is copied from a page', async () => {
    const sent: unknown[] = []
    copying.reply = (...given) => (sent.push(given), { data: { text: 'A **bowline**' } })
    const view = show()
    await view.find('textarea').trigger('paste', { clipboardData })
    await flushPromises()
    expect(sent).toEqual([['/api/exchange/text', { body: { html: '<p>A <b>bowline</b></p>' } }]])
    expect(view.find('textarea').element.value).toBe('A **bowline**')
    await view.find('form').trigger('submit')
    expect(view.emitted('text')).toEqual([['A **bowline**']])
  })

  it('takes the plain text of a page where the server cannot be reached', async () => {
    copying.reply = () => Promise.reject(new Error('no network'))
    const view = show()
    await view.find('textarea').trigger('paste', { clipboardData })
    await flushPromises()
    expect(view.find('textarea').element.value).toBe('A bowline')
  })

  it('takes a file that is dropped', async () => {
    const view = show()
    const file = new File(['x'], 'class.csv')
    await view.find('.border-dashed').trigger('drop', { dataTransfer: { files: [file] } })
    expect(view.emitted('file')).toEqual([[file]])
  })

  it('has nothing to read before something is there', () => {
    expect(show().find('button[type=submit]').attributes('disabled')).toBeDefined()
  })
})

describe('taking a set out', () => {
  it('says what the chosen format leaves behind before it is saved', async () => {
    const view = mount(ExportDialog, {
      props: { set: 7, title: 'Knots' },
      global: {
        plugins: [[VueQueryPlugin, { queryClient: new QueryClient() }]],
        stubs: { UiDialog: { template: '<div><slot /></div>' } },
      },
    })
    await flushPromises()
    expect(view.text()).not.toContain('leaves behind')
    expect(view.find('a').attributes('href')).toBe('/api/exchange/sets/7/archive')
    await view.findAll('input')[1]!.setValue(true)
    expect(view.text()).toContain('“Sea”: no such question.')
    expect(view.find('a').attributes('href')).toBe('/api/exchange/sets/7/qti3')
    await view.find('a').trigger('click')
    expect(view.emitted('close')).toHaveLength(1)
  })
})
