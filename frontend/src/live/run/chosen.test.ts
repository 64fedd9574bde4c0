import { describe, expect, it } from 'vitest'
import defaults from '@/api/defaults.json'
import { stillChoices } from './chosen'

describe('what was chosen last time', () => {
  it('is the defaults where nothing was', () => {
    expect(stillChoices({})).toEqual(defaults.settings)
  })

  it('keeps what still is a choice, and nothing else', () => {
    const kept = { ask_names: false, known: 'made_up', early_bonus: true, mix_options: 'yes' }
    expect(stillChoices(kept)).toEqual({ ...defaults.settings, known: 'made_up' })
    expect(stillChoices({ known: 'by heart' })).toEqual(defaults.settings)
  })

  it('keeps a game that is still there', () => {
    const game = { game: 'points', early_bonus: true }
    expect(stillChoices({ game })).toEqual({ ...defaults.settings, game })
    expect(stillChoices({ game: { game: 'of-before' } })).toEqual(defaults.settings)
  })
})
