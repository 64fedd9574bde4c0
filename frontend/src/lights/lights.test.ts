import { expect, it } from 'vitest'
import { drawnOf, FORMS_OF, PARTS, partsOf, withForm } from './forms'
import { formName, lightInWords } from './named'

const FIRST = '00000000'
const all = PARTS.flatMap((part) => Array.from({ length: FORMS_OF[part] }, (_, form) => ({ part, form })))

it('draws every form as no other, in figures that can be drawn', () => {
  for (const part of PARTS) {
    const drawn = Array.from({ length: FORMS_OF[part] }, (_, form) => drawnOf(withForm(FIRST, part, form)))
    expect(new Set(drawn.map((one) => JSON.stringify(one))).size).toBe(FORMS_OF[part])
    for (const one of drawn)
      for (const path of Object.values(one)) expect(path).toMatch(/^([MLHVQCAZmlhvqcatz\d\s.,-])*$/)
  }
})

it('calls every form of a part something else', () => {
  for (const part of PARTS) {
    const names = all.filter((one) => one.part === part).map((one) => formName(part, one.form))
    expect(new Set(names).size).toBe(FORMS_OF[part])
  }
  expect(new Set(all.map((one) => formName(one.part, one.form))).size).toBe(all.length)
})

it('is told part by part', () => {
  expect(lightInWords('31420573')).toBe(
    'stepped roof, a ball on top, six-sided glass, level bars, one flame, wavy band, on a buoy and ropes at the sides',
  )
})

it('changes one part and no other', () => {
  expect(withForm('31420573', 'top', 8)).toBe('38420573')
  expect(partsOf('31420573')[2]).toEqual(['glass', 4])
})
