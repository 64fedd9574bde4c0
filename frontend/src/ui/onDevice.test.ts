import { describe, expect, it, vi } from 'vitest'
import * as shelf from 'idb-keyval'
import { keepOnDevice, keptOnDevice } from './onDevice'

vi.mock('idb-keyval', () => ({ get: vi.fn(), set: vi.fn(), del: vi.fn() }))
const { get, set } = vi.mocked(shelf)

describe('what is kept on the device', () => {
  it('is kept, and found, on the second try where a connection was closed', async () => {
    set.mockRejectedValueOnce(new DOMException('closed')).mockResolvedValueOnce()
    await keepOnDevice('text.1', 'Bowline')
    expect(set.mock.calls).toEqual([
      ['text.1', 'Bowline'],
      ['text.1', 'Bowline'],
    ])
    get.mockRejectedValueOnce(new DOMException('closed')).mockResolvedValueOnce('Bowline')
    expect(await keptOnDevice('text.1')).toBe('Bowline')
  })

  it('fails where the device keeps nothing at all', async () => {
    set.mockRejectedValue(new DOMException('full'))
    await expect(keepOnDevice('text.1', 'Bowline')).rejects.toThrow('full')
  })
})
