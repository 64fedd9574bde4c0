/** The set as text: what it means, and taking it over. */
import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import { ownShelf } from '@/ui/shelf'
import SetTextPage from './SetTextPage.vue'
import TextEditor from './TextEditor.vue'

const calls = vi.hoisted(() => ({ replies: {} as Record<string, unknown>, sent: [] as unknown[] }))
vi.mock('@/api/http', async (original) => {
  const reply = async (path: string, options?: { body?: unknown }) => {
    calls.sent.push({ path, body: options?.body })
    return { data: calls.replies[path] }
  }
  return { ...(await original<object>()), api: { GET: reply, POST: reply } }
})
vi.mock('vue-router', () => ({ useRoute: () => ({ params: { id: '7' } }) }))

const editor = vi.hoisted(() => ({ replaced: [] as unknown[], sendNow: async () => {} }))
vi.mock('../useSetEditor', () => ({
  useSetEditor: () => ({
    draft: shallowRef({ title: 'Knots', about: {}, items: [] }),
    ready: shallowRef(true),
    state: shallowRef('saved'),
    loadError: shallowRef(null),
    replace: (next: unknown) => editor.replaced.push(next),
    sendNow: editor.sendNow,
  }),
}))

const WRITTEN = '## One\n- [x] a\n'
const item = { id: 'a', kind: 'page', prompt: 'Before you go', body: '' }
const content = { title: 'Knots', about: {}, items: [item] }
const why = { code: 'tried', params: {}, sentence: 'There is no kind of question called “riddle”.' }

const shelf = ownShelf('text.7')

beforeEach(() => {
  calls.replies = {
    '/api/sets/write-text': { text: WRITTEN },
    '/api/sets/read-text': { content, lines: [1], misread: [] },
  }
  calls.sent = []
  editor.replaced = []
  localStorage.clear()
})

async function open() {
  const goTo = vi.fn()
  const stub = { template: '<div />', props: ['modelValue', 'label', 'problems'], methods: { goTo } }
  const stubs = { TextEditor: stub, RouterLink: RouterLinkStub }
  const page = mount(SetTextPage, { global: { stubs }, attachTo: document.body })
  await flushPromises()
  const area = () => page.findComponent(stub)
  const write = async (text: string) => {
    area().vm.$emit('update:modelValue', text)
    await nextTick()
  }
  const press = async (label: string) => {
    await page
      .findAll('button')
      .find((button) => button.text().startsWith(label))!
      .trigger('click')
    await flushPromises()
  }
  return { page, area, write, press, goTo }
}

describe('the set as text', () => {
  it('says what it means, and takes it over as a whole', async () => {
    const { page, area, write, press } = await open()
    expect(area().props('modelValue')).toBe(WRITTEN)
    expect(page.text()).toContain('Before you go')
    expect(page.text()).toContain('This is how the set is now.')
    await write('## Two\n')
    expect(page.text()).toContain('It is not taken over yet.')
    await press('Take it over')
    expect(editor.replaced).toEqual([content])
    expect(calls.sent.at(-1)).toMatchObject({ body: { text: '## Two\n', present: [] } })
    expect(page.text()).toContain('Taken over, and kept.')
    page.unmount()
  })

  it('takes nothing over while a line is not understood, and leads to that line', async () => {
    const { page, area, write, press, goTo } = await open()
    calls.replies['/api/sets/read-text'] = { content, lines: [1], misread: [{ line: 2, why }] }
    await write('## One\n:: kind: riddle\n- [x] a')
    await press('Take it over')
    expect(editor.replaced).toEqual([])
    expect(goTo).toHaveBeenLastCalledWith(2)
    expect(page.text()).toContain('Line 2: There is no kind')
    expect(area().props('problems')).toEqual([{ line: 2, says: why.sentence }])
    page.unmount()
  })

  it('goes on with what was written last time, until it is thrown away', async () => {
    const first = await open()
    await first.write('## Three\n')
    first.page.unmount()
    await flushPromises()
    const { page, area, press } = await open()
    expect(area().props('modelValue')).toBe('## Three\n')
    expect(page.text()).toContain('what you were writing last time. It is not taken over yet.')
    await press('Throw it away')
    expect(area().props('modelValue')).toBe(WRITTEN)
    page.unmount()
    await flushPromises()
    expect(shelf.read()).toBeNull()
  })

  it('is on the device at the moment the page goes', async () => {
    const { page, write } = await open()
    await write('## Four\n')
    window.dispatchEvent(new Event('pagehide'))
    expect(shelf.read()).toEqual({ text: '## Four\n', base: WRITTEN })
    page.unmount()
  })

  it('tells when the set was changed since', async () => {
    shelf.write({ text: '## Three\n', base: '## Older\n' })
    const { page } = await open()
    expect(page.text()).toContain('but the set was changed since')
    page.unmount()
  })
})

describe('its lines', () => {
  it('are written in a field with a name, and each that is not understood has a mark', async () => {
    const field = mount(TextEditor, {
      props: { modelValue: WRITTEN, label: 'The set as text', problems: [{ line: 2, says: 'No.' }] },
      attachTo: document.body,
    })
    await flushPromises()
    const root = field.element.shadowRoot!
    const lines = root.querySelector('.cm-content')!
    expect(lines.getAttribute('aria-label')).toBe('The set as text')
    expect(lines.textContent).toContain('## One')
    expect(root.querySelector('.cm-lintRange-error')!.textContent).toBe('- [x] a')
    await field.setProps({ modelValue: '## Other' })
    expect(lines.textContent).toBe('## Other')
    field.unmount()
  })
})
