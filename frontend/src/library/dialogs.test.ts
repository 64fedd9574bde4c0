/** Dialogs of the editor on their own: the set as text, and a set tried out. */
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import TextView from './TextView.vue'
import { useTrial } from './useTrial'

const calls = vi.hoisted(() => ({ replies: {} as Record<string, unknown>, sent: [] as unknown[] }))
vi.mock('@/api/http', async (original) => {
  const reply = async (path: string, options?: { body?: unknown }) => {
    calls.sent.push({ path, body: options?.body })
    return { data: calls.replies[path] }
  }
  return { ...(await original<object>()), api: { GET: reply, POST: reply } }
})

beforeEach(() => {
  calls.replies = {}
  calls.sent = []
})

describe('the set as text', () => {
  const stubs = { UiDialog: { template: '<div><slot /></div>' } }
  const open = async () => {
    calls.replies['/api/sets/write-text'] = { text: '## One\n- [x] a\n' }
    const view = mount(TextView, {
      props: { draft: { title: 'Knots', about: {}, items: [] } },
      global: { stubs },
      attachTo: document.body,
    })
    await flushPromises()
    return view
  }
  const press = async (view: Awaited<ReturnType<typeof open>>, label: string) => {
    await view
      .findAll('button')
      .find((button) => button.text() === label)!
      .trigger('click')
    await flushPromises()
  }

  it('takes over what is understood as a whole', async () => {
    const view = await open()
    expect(view.find('textarea').element.value).toBe('## One\n- [x] a\n')
    const content = {
      title: 'Knots',
      about: { language: 'en' },
      items: [{ id: 'a', kind: 'page', prompt: 'One' }],
    }
    calls.replies['/api/sets/read-text'] = { content, misread: [] }
    await press(view, 'Take it over')
    expect(view.emitted('take')).toEqual([[content]])
  })

  it('takes nothing over while a line is not understood, and leads to that line', async () => {
    const view = await open()
    await view.find('textarea').setValue('## One\n:: kind: riddle\n- [x] a')
    calls.replies['/api/sets/read-text'] = {
      content: { title: '', items: [] },
      misread: [
        {
          line: 2,
          why: { code: 'tried', params: {}, sentence: 'There is no kind of question called “riddle”.' },
        },
      ],
    }
    await press(view, 'Take it over')
    expect(view.emitted('take')).toBeUndefined()
    expect(view.find('[role="alert"]').text()).toContain('Line 2: There is no kind')
    const { selectionStart, selectionEnd, value } = view.find('textarea').element
    expect(value.slice(selectionStart, selectionEnd)).toBe(':: kind: riddle')
  })
})

describe('a trial', () => {
  const begin = async () => {
    calls.replies['/api/sets/{set_id}'] = { items: [{ item: { id: 'q1' } }, { item: { id: 'q2' } }] }
    calls.replies['/api/trial/{set_id}'] = { view: { phase: 'open' }, mine: { mark: null } }
    const trial = effectScope(true).run(() => useTrial(1))!
    await flushPromises()
    return trial
  }

  it('goes through the set, one item at a time and never beyond its ends', async () => {
    const trial = await begin()
    expect([trial.at.value, trial.count.value]).toEqual([0, 2])
    await trial.go(5)
    expect(trial.at.value).toBe(1)
    await trial.go(-3)
    expect(trial.at.value).toBe(0)
    expect(calls.sent.at(-1)).toMatchObject({ body: { item: 'q1', answer: null } })
  })

  it('sends an answer to be marked, and forgets it at the next item', async () => {
    const trial = await begin()
    trial.link.send('q1', { kind: 'letter', letter: 'A' })
    expect(trial.link.state.value).toBe('sent')
    await flushPromises()
    expect(calls.sent.at(-1)).toMatchObject({ body: { item: 'q1', answer: { letter: 'A' } } })
    await trial.go(1)
    expect(trial.link.state.value).toBe('none')
  })
})
