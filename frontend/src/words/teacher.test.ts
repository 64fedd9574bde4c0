import { afterEach, describe, expect, it } from 'vitest'
import { speak } from '.'
import { i18n, teacherWords } from './teacher'

describe('words of teachers', () => {
  afterEach(() => speak('en'))

  const t = teacherWords(
    'tried',
    {
      left: { one: '{n} second left', other: '{n} seconds left' },
      address: 'Write to {name} @ {place} | or not',
    },
    {
      './de.ts': () =>
        Promise.resolve({
          default: {
            left: { one: 'noch {n} Sekunde', other: 'noch {n} Sekunden' },
            address: 'An {name} @ {place} | oder nicht',
          },
        }),
    },
  )

  it('are said by the library, in the form that the number wants', async () => {
    expect([1, 2, 0.5].map((n) => t('left', { n }))).toEqual([
      '1 second left',
      '2 seconds left',
      '0.5 seconds left',
    ])
    await speak('de')
    expect([1, 2, 0.5].map((n) => t('left', { n }))).toEqual([
      'noch 1 Sekunde',
      'noch 2 Sekunden',
      'noch 0,5 Sekunden',
    ])
    expect(i18n.global.locale.value).toBe('de')
  })

  it('have signs of the library’s own as plain signs, and names as they are', () => {
    expect(t('address', { name: '{n} | <b>', place: 'x@y' })).toBe('Write to {n} | <b> @ x@y | or not')
  })

  it('are English where the page speaks what teachers’ pages do not', async () => {
    await speak('ar')
    expect(t('left', { n: 2 })).toBe('2 seconds left')
  })
})
