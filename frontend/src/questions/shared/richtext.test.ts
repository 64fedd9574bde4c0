import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { inlineHtml, plainText, wrapSelection } from './richtext'

const cases = JSON.parse(readFileSync('../tests/core/richtext_cases.json', 'utf8')) as {
  source: string
  html: string
}[]

describe('light formatting', () => {
  // The same cases hold for the server's richtext.py: both sides read one file.
  it.each(cases)('shows $source as the server does', ({ source, html }) => {
    expect(inlineHtml(source)).toBe(html)
  })

  it('leaves the marks out of plain text', () => {
    expect(plainText('**Fl(2)** *W*\n`10s`')).toBe('Fl(2) W 10s')
  })

  it('puts marks around what is selected, and takes them off again', () => {
    const field = document.createElement('textarea')
    field.value = 'tie a bowline'
    field.setSelectionRange(6, 13)
    field.value = wrapSelection(field, '**')
    expect(field.value).toBe('tie a **bowline**')
    field.setSelectionRange(8, 15)
    expect(wrapSelection(field, '**')).toBe('tie a bowline')
  })
})
