import { expect, it } from 'vitest'
import lists from '../../../tests/samples/names_in_order.json'
import { orderOf } from './ordering'

it.each(Object.entries(lists))('names are sorted as in %s', (language, names) => {
  expect([...names].reverse().sort(orderOf(language))).toEqual(names)
})
