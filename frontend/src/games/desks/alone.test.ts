import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { GameChosen, GameName } from '@/api/types'
import { deskOf } from '.'

const WANTS_OTHERS: [GameName, RegExp][] = [
  ['keepers', /Gusts|for all/],
  ['crossword', /together/],
  ['word_search', /shared devices/],
  ['two_halves', /shared devices/],
  ['shutters', /shared devices/],
  ['sort_the_catch', /shared devices/],
]

describe('what is chosen for a game', () => {
  it.each(WANTS_OTHERS)('%s: nothing that wants others, where it is set work', async (name, others) => {
    const settings = { time: { of: 'whole', whole: 1200 } }
    const props = { modelValue: { game: name } as GameChosen, settings, plan: null }
    const view = await deskOf(name).settings()
    const [inClass, alone] = [mount(view, { props }), mount(view, { props: { ...props, alone: true } })]
    await flushPromises()
    expect(inClass.text()).toMatch(others)
    expect(alone.text()).not.toMatch(others)
  })
})
