import { describe, expect, it } from 'vitest'
import type { Item } from '@/api/types'
import { inserted, moved, movedTogether, replaced, without } from './listEdits'

const list = (ids: string): Item[] => [...ids].map((id) => ({ id, kind: 'page', prompt: '' }) as Item)
const ids = (items: readonly Item[] | null): string => items?.map((item) => item.id).join('') ?? 'null'

describe('edits of a list', () => {
  it('insert behind another, or at the end', () => {
    expect(ids(inserted(list('abc'), list('x')[0]!, 'a'))).toBe('axbc')
    expect(ids(inserted(list('abc'), list('x')[0]!))).toBe('abcx')
  })

  it('replace and remove by id, and leave the list that was', () => {
    const before = list('abc')
    const item = { ...before[1]!, prompt: 'new' }
    expect(replaced(before, item)[1]).toBe(item)
    expect(ids(without(before, new Set(['a', 'c'])))).toBe('b')
    expect(ids(before)).toBe('abc')
    expect(before[1]!.prompt).toBe('')
  })

  it('move within the list only', () => {
    expect(ids(moved(list('abc'), 'a', 2))).toBe('bca')
    expect(moved(list('abc'), 'a', -1)).toBeNull()
    expect(moved(list('abc'), 'c', 1)).toBeNull()
    expect(moved(list('abc'), 'z', 1)).toBeNull()
  })

  it.each([
    ['bc', -1, 'bcad'],
    ['ab', -1, 'abcd'],
    ['ac', -1, 'acbd'],
    ['bc', 1, 'adbc'],
    ['cd', 1, 'abcd'],
    ['bd', 1, 'acbd'],
  ] as const)('move %s together by %i', (which, offset, after) => {
    expect(ids(movedTogether(list('abcd'), new Set(which), offset))).toBe(after)
  })
})
