import { nextTick, ref } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import * as device from '@/ui/onDevice'
import { useKept } from './keptOnDevice'

vi.mock('@/ui/onDevice', () => ({ keepOnDevice: vi.fn(), keptOnDevice: vi.fn(), forgetOnDevice: vi.fn() }))

describe('what is being brought in', () => {
  it('is not called kept while a change that came meanwhile is not', async () => {
    vi.useFakeTimers()
    const written: (() => void)[] = []
    vi.mocked(device.keepOnDevice).mockImplementation(() => new Promise((done) => written.push(done)))
    const rows = ref(['two not understood'])
    const safe = useKept([rows], () => [...rows.value])
    rows.value = ['read']
    await vi.advanceTimersByTimeAsync(400)
    rows.value = ['mended']
    await nextTick()
    written[0]!()
    await vi.advanceTimersByTimeAsync(10)
    expect(safe.value).toBe(false)
    await vi.advanceTimersByTimeAsync(400)
    written[1]!()
    await vi.advanceTimersByTimeAsync(10)
    expect(safe.value).toBe(true)
    expect(vi.mocked(device.keepOnDevice).mock.calls.map(([, value]) => value)).toEqual([
      ['read'],
      ['mended'],
    ])
    vi.useRealTimers()
  })
})
