/** Boards of pairs stand inside a question: its texts are in its language, and all else in the page's. */
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { OwnBoard } from '@/api/types'
import { misspoken } from '@/words/misspoken'
import ShuttersOwn from './shutters/own/ShuttersOwn.vue'
import SortTheCatchOwn from './sortTheCatch/own/SortTheCatchOwn.vue'
import TwoHalvesOwn from './twoHalves/own/TwoHalvesOwn.vue'
import WordSearchOwn from './wordSearch/own/WordSearchOwn.vue'

const line = (id: string) => ({ id, html: id })
const pairs = { kind: 'match', left: ['bow', 'keel'].map(line), right: ['front', 'bottom'].map(line) }
const groups = { kind: 'classify', lines: ['jib', 'tiller'].map(line), groups: ['fore', 'aft'].map(line) }
const tries = { question: 'q', pairs: 2, missed: 0, turns: [], wrong: null }
const found = [{ left: 'bow', right: 'front' }]

const BOARDS = [
  {
    view: ShuttersOwn,
    of: pairs,
    own: { ...tries, places: ['', 'bow', 'front', ''], opened: [1], found: 1 },
  },
  { view: TwoHalvesOwn, of: pairs, own: { ...tries, found } },
  { view: SortTheCatchOwn, of: groups, own: { ...tries, found: [{ left: 'jib', right: 'fore' }] } },
  {
    view: WordSearchOwn,
    of: pairs,
    own: {
      ...tries,
      side: 2,
      to_the_left: false,
      letters: [...'BOWS'],
      found: [{ pair: found[0], cells: [0, 1] }],
      clues: [{ part: 'bottom', letters: 4 }],
    },
  },
]

describe.each(BOARDS)('$view.__name', ({ view, of, own }) => {
  const shown = () =>
    mount(view as typeof TwoHalvesOwn, {
      props: {
        board: { right: 0, spoken: false, boards: [own] } as unknown as OwnBoard & { game: 'two_halves' },
        at: 'during',
        question: { id: 'q', prompt_html: '?', language: 'sv', ...of } as never,
      },
    })

  it('says what the page says in its language', async () => {
    expect(await misspoken(shown())).toEqual([])
  })

  it('says the texts of the question in theirs', () => {
    const texts = shown()
      .findAll('[lang="sv"]')
      .map((one) => one.text())
    expect(texts.join()).toMatch(/bow|fore/)
  })
})
