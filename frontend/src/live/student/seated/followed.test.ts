import { describe, expect, it } from 'vitest'
import { wordAt, wordsIn } from './followed'

describe('the word that is spoken', () => {
  it('is found in the order of the text, whatever is bold', () => {
    const element = document.createElement('p')
    element.innerHTML = 'Which <b>knot</b> holds, <i>and why</i>?'
    document.body.append(element)
    expect(wordsIn(element).map(String)).toEqual(['Which', 'knot', 'holds,', 'and', 'why', '?'])
  })

  it('is a formula as a whole, and nothing that can be chosen in between', () => {
    const element = document.createElement('p')
    element.innerHTML =
      'At <select><option>half tide</option></select> the <span class="formula"><i>2</i> <i>kn</i></span> turn.'
    document.body.append(element)
    expect(wordsIn(element).map(String)).toEqual(['At', 'the', '2 kn', 'turn.'])
  })

  it('is the last one that has begun', () => {
    expect([0, 250, 299, 900].map((now) => wordAt([100, 200, 300], now))).toEqual([-1, 1, 1, 2])
  })
})
