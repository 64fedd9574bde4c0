import { describe, expect, it } from 'vitest'
import type { Item, Saved, SetDocument } from '@/api/types'
import { changesBetween, draftFrom, hasNews, knownAfter, knownFrom, merged } from './changes'

const item = (id: string, prompt = `Question ${id}`): Item => ({ id, kind: 'page', prompt })

function documentOf(items: Item[], version = 1): SetDocument {
  const rest = { about: {}, folder: null, made_from: null, private: false, problems: [] }
  return { id: 1, title: 'Tides', version, items: items.map((one) => ({ version, item: one })), ...rest }
}

function saved(order: string[], version: number): Saved {
  return {
    version,
    order,
    versions: Object.fromEntries(order.map((id) => [id, version])),
    conflicts: [],
    problems: [],
  }
}

describe('changes', () => {
  const document = documentOf([item('a'), item('b')])
  const known = knownFrom(document)
  const draft = draftFrom(document)

  it('are none when nothing changed', () => {
    expect(changesBetween(known, draft, new Set())).toBeNull()
  })

  it('carry the version they were made on', () => {
    const changes = changesBetween(known, { ...draft, items: [item('a', 'New words'), item('b')] }, new Set())
    expect(changes).toEqual({ put: [{ base: 1, item: item('a', 'New words') }], remove: [] })
  })

  it('tell the order of a new item', () => {
    const changes = changesBetween(known, { ...draft, items: [item('c'), item('a'), item('b')] }, new Set())
    expect(changes).toEqual({ put: [{ base: 0, item: item('c') }], remove: [], order: ['c', 'a', 'b'] })
  })

  it('leave out what waits for the teacher to settle', () => {
    const changes = changesBetween(known, { ...draft, items: [item('a', 'Mine'), item('b')] }, new Set(['a']))
    expect(changes).toBeNull()
  })

  it('are sent again with the same base until the server has them', () => {
    const next = { ...draft, items: [item('b')] }
    expect(changesBetween(known, next, new Set())?.remove).toEqual([{ base: 1, id: 'a' }])
    const after = knownAfter(known, { put: [], remove: [{ base: 1, id: 'a' }] }, saved(['b'], 1))
    expect(changesBetween(after, next, new Set())).toBeNull()
  })
})

describe('news from another window', () => {
  const known = knownFrom(documentOf([item('a'), item('b')]))

  it('is noticed by the version of an item nobody here touched', () => {
    expect(hasNews(known, saved(['a', 'b'], 1), { put: [] })).toBe(false)
    expect(hasNews(known, { ...saved(['a', 'b'], 1), versions: { a: 1, b: 2 } }, { put: [] })).toBe(true)
  })

  it('is taken over where nothing was changed here, and left where it was', () => {
    const mine = { title: 'Tides', about: {}, items: [item('a', 'Mine'), item('b')] }
    const theirs = documentOf([item('a', 'Theirs'), item('b', 'Theirs'), item('c')], 2)
    const { items } = merged(mine, known, theirs)
    expect(items.map((one) => one.prompt)).toEqual(['Mine', 'Theirs', 'Question c'])
  })

  it('does not bring back what was removed here, nor keep what was removed there', () => {
    const mine = { title: 'Tides', about: {}, items: [item('b')] }
    const theirs = documentOf([item('a'), item('c')], 2)
    expect(merged(mine, known, theirs).items.map((one) => one.id)).toEqual(['c'])
  })
})
