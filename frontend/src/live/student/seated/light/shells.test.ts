import { expect, it } from 'vitest'
import { cheapest, costs, mayHave } from './shells'

const info = {
  light: '00000000',
  parts: ['roof.4'],
  shells: 6,
  earned: 0,
  kept: true,
  offers: [
    { part: 'roof' as const, prices: [0, 0, 5, 5, 10] },
    { part: 'top' as const, prices: [0, 5] },
  ],
}

it('costs what is neither free nor theirs', () => {
  expect(costs(info, '00000000')).toBe(0)
  expect(costs(info, '40000000')).toBe(0)
  expect(costs(info, '21000000')).toBe(10)
})

it('draws from what is free or theirs', () => {
  expect(cheapest(info, 'roof')).toEqual([0, 1, 4])
  expect(cheapest(info, 'top')).toEqual([0])
  expect([mayHave(info, 'roof', 3), mayHave(info, 'roof', 4)]).toEqual([false, true])
})
