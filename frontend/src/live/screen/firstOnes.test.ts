import { describe, expect, it } from 'vitest'
import { firstOnes } from './firstOnes'

const row = (place: number, points = 10 - place) => ({
  name: `Student ${place}`,
  points,
  place,
  before: null,
  points_before: 0,
  light: '',
})
const said = (places: number[], more_alike = 0) => {
  const { named, shared } = firstOnes({ standings: places.map((place) => row(place)), more_alike })
  return [named.map((one) => one.place), shared]
}

describe('who is called by name in the end', () => {
  it('is the first three, and who shares these places', () => {
    expect(said([1, 2, 3, 4, 5])).toEqual([[1, 2, 3], null])
    expect(said([1, 1, 3, 3, 5])).toEqual([[1, 1, 3, 3], null])
  })

  it('is nobody of a place that too many share: it is said how many they are', () => {
    expect(said(Array(10).fill(1), 30)).toEqual([[], { place: 1, people: 40 }])
    expect(said([1, ...Array(9).fill(2)], 4)).toEqual([[1], { place: 2, people: 13 }])
    expect(said([1, 1, 3, 3, 3, 3, 3, 8])).toEqual([[1, 1], { place: 3, people: 5 }])
    expect(said([1, 2, 3, ...Array(7).fill(4)], 9)).toEqual([[1, 2, 3], null])
  })

  it('is nobody with nothing', () => {
    expect(firstOnes({ standings: [row(1, 0)], more_alike: 0 })).toEqual({ named: [], shared: null })
  })
})
