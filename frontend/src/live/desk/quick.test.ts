import { describe, expect, it } from 'vitest'
import { inItsLanguage, quickForms, quickItem, type QuickForm } from './quick'

const forms = quickForms()
  .map((form) => form.value)
  .filter((form): form is QuickForm => form !== 'typed')

describe('a question asked on the spot', () => {
  it('has its own id, the words that were typed, and nothing that is right yet', () => {
    for (const form of forms) {
      const [one, other] = [quickItem(form, '  How deep is it? ', 5), quickItem(form, '', 5)]
      expect(one.prompt).toBe('How deep is it?')
      expect(one.id).not.toBe(other.id)
      expect(JSON.stringify(one)).not.toContain('"right":true')
    }
  })

  it('offers as many letters as were chosen', () => {
    expect(quickItem('letters', '', 7)).toMatchObject({ kind: 'letter', letters: 7, right: [] })
  })

  it('is of a kind for each form, and its right answer can be said later where there is one', () => {
    expect(forms.map((form) => quickItem(form, '', 5).kind)).toEqual([
      'letter',
      'choice',
      'numeric_entry',
      'word_cloud',
      'open_response',
    ])
    expect(quickItem('word', '', 5)).toMatchObject({ scored: true, most: 1 })
  })

  it('is in the language of its set, or of the browser where nothing was prepared', () => {
    const item = quickItem('word', '', 5)
    expect(inItsLanguage(item, true, 'de-AT').language).toBe('de')
    expect(inItsLanguage(item, false, 'de-AT').language).toBe(item.language)
    expect(inItsLanguage({ ...item, language: 'fr' }, true, 'de').language).toBe('fr')
  })
})
