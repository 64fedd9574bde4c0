/** The editor's mechanisms on their own: several items at once, undo over them, the menu of kinds, counts in a report. */
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import type { Item } from '@/api/types'
import { editings } from '@/questions/editing'
import { KINDS } from '@/questions/registry'
import KindMenu from './KindMenu.vue'
import { useSetEditor } from './useSetEditor'

const served = vi.hoisted(() => ({ document: {} as unknown }))
vi.mock('@/api/http', async (original) => ({
  ...(await original<object>()),
  api: {
    GET: async () => ({ data: served.document }),
    PATCH: () => new Promise(() => undefined), // the server is slow: what is tested happens on the page
  },
}))

const page = (id: string): Item => ({ id, kind: 'page', prompt: id, body: '' })

async function editorOf(...ids: string[]) {
  const document = {
    id: 1,
    title: 'Knots',
    about: {},
    folder: null,
    made_from: null,
    version: 1,
    items: ids.map((id) => ({ version: 1, item: page(id) })),
    problems: [],
  }
  served.document = document
  const editor = effectScope(true).run(() => useSetEditor(Math.floor(Math.random() * 1e9)))!
  await flushPromises()
  await vi.waitFor(() => expect(editor.ready.value).toBe(true))
  return editor
}

describe('several items at once', () => {
  beforeEach(() => {
    localStorage.clear()
    sessionStorage.clear()
  })
  const order = (editor: Awaited<ReturnType<typeof editorOf>>): string =>
    editor.draft.value.items.map((item) => item.id).join('')

  it('move together, keep their order, and stop at the ends', async () => {
    const editor = await editorOf('a', 'b', 'c', 'd')
    editor.moveMany(new Set(['b', 'd']), -1)
    expect(order(editor)).toBe('badc')
    editor.moveMany(new Set(['b', 'd']), -1)
    expect(order(editor)).toBe('bdac')
    editor.moveMany(new Set(['b', 'd']), -1)
    expect(order(editor)).toBe('bdac')
    editor.moveMany(new Set(['b', 'd']), 1)
    expect(order(editor)).toBe('abdc')
  })

  it('are changed and removed in one step each', async () => {
    const editor = await editorOf('a', 'b', 'c')
    editor.updateMany(new Set(['a', 'c']), (item) => ({ ...item, tags: ['tides'] }))
    editor.removeMany(new Set(['b']))
    expect(editor.draft.value.items.map((item) => item.tags)).toEqual([['tides'], ['tides']])
    editor.undo()
    editor.undo()
    expect(order(editor)).toBe('abc')
    expect(editor.draft.value.items.every((item) => !item.tags)).toBe(true)
    editor.redo()
    expect(editor.draft.value.items[0]!.tags).toEqual(['tides'])
  })

  it('are added at the end', async () => {
    const editor = await editorOf('a')
    editor.append([page('x'), page('y')])
    expect(order(editor)).toBe('axy')
  })
})

describe('the menu of kinds', () => {
  it('offers every kind with what it asks for', async () => {
    const view = mount(KindMenu, {
      props: { label: '+ Another kind', kinds: KINDS },
      attachTo: document.body,
    })
    await view.find('button').trigger('click')
    const entries = view.findAll('[role="menuitem"]')
    expect(entries).toHaveLength(KINDS.length)
    expect(entries[0]!.text()).toContain(editings[KINDS[0]!].hint())
    await entries[2]!.trigger('click')
    expect(view.emitted('choose')).toEqual([[KINDS[2]]])
  })
})
