import { describe, expect, it } from 'vitest'
import { effectScope } from 'vue'
import { typingTag, useHistory } from './history'

describe('undo and redo', () => {
  it('walk back and forth over whole values', () => {
    const history = useHistory<string>()
    history.keep('a', '')
    history.keep('b', '')
    expect(history.undo('c')).toBe('b')
    expect(history.undo('b')).toBe('a')
    expect(history.undo('a')).toBeUndefined()
    expect(history.redo('a')).toBe('b')
  })

  it('take typing in one field as one step', () => {
    const history = useHistory<string>()
    for (const before of ['', 'b', 'bo', 'bow']) history.keep(before, 'item.1')
    expect(history.undo('bowl')).toBe('')
    expect(history.canUndo.value).toBe(false)
  })

  it('go on upon the next page, however soon it is opened', () => {
    const page = effectScope()
    page.run(() => useHistory<string>('lantern.undo.1'))!.keep('a', '')
    page.stop()
    expect(useHistory<string>('lantern.undo.1').undo('b')).toBe('a')
  })

  it('forget what was undone once something new is written', () => {
    const history = useHistory<string>()
    history.keep('a', '')
    history.undo('b')
    history.keep('a', '')
    expect(history.canRedo.value).toBe(false)
  })
})

describe('a step', () => {
  const item = {
    id: 'q1',
    prompt: 'Which?',
    options: [{ text: 'A', right: true }],
    picture: { description: '' },
  }

  it('is all that is typed into one field', () => {
    expect(typingTag(item, { ...item, prompt: 'Which one?' })).toBe('q1.prompt')
    expect(typingTag(item, { ...item, options: [{ text: 'AB', right: true }] })).toBe('q1.options')
  })

  it('is each change that is no typing', () => {
    expect(typingTag(item, { ...item, options: [{ text: 'A', right: false }] })).toBe('')
    expect(typingTag(item, { ...item, options: [] })).toBe('')
    expect(typingTag<object & { id: string }>(item, { ...item, picture: null } as never)).toBe('')
  })
})
