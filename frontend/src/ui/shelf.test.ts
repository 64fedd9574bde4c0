import { beforeEach, describe, expect, it, vi } from 'vitest'
import { clearOwnShelves, ownShelf, shelfOf } from './shelf'

describe('a shelf on the device', () => {
  beforeEach(() => localStorage.clear())

  it('gives back what lies on it, at once, until it is cleared', () => {
    const shelf = shelfOf<{ text: string }>('lantern.text.1')
    shelf.write({ text: 'Bowline' })
    expect(shelfOf('lantern.text.1').read()).toEqual({ text: 'Bowline' })
    shelf.clear()
    expect(shelf.read()).toBeNull()
  })

  it('holds nothing where something else was written there', () => {
    localStorage.setItem('lantern.text.1', 'no JSON')
    expect(shelfOf('lantern.text.1').read()).toBeNull()
  })

  it('holds nothing, and harms nothing, where the browser keeps nothing', () => {
    const blocked = vi.spyOn(window, 'localStorage', 'get').mockImplementation(() => {
      throw new DOMException('blocked')
    })
    const shelf = ownShelf<string>('text.1')
    shelf.write('Bowline')
    shelf.clear()
    clearOwnShelves()
    expect(shelf.read()).toBeNull()
    blocked.mockRestore()
  })

  it('is cleared where it is an account’s own, and no other', () => {
    ownShelf('text.1').write('a')
    ownShelf('text.22').write('b')
    shelfOf('lantern.set.1').write('c')
    clearOwnShelves()
    expect(ownShelf('text.22').read()).toBeNull()
    expect(Object.keys(localStorage)).toEqual(['lantern.set.1'])
  })
})
