/** Every sentence of every feature, in every language: the same figures, all plural forms, nothing left over. */
import { dirname, join } from 'node:path'
import { afterEach, describe, expect, expectTypeOf, it } from 'vitest'
import { figure, language, LANGUAGES, listed, speak, wordsOf, type Language } from '.'
import { OF_TEACHERS } from './teacher'

type Entry = string | Record<string, string>
type Catalogue = Record<string, Entry>

const files = import.meta.glob<{ default: Catalogue }>('/src/**/words/??.ts', { eager: true })
const sources = import.meta.glob<string>('/src/**/*.{ts,vue}', {
  eager: true,
  query: '?raw',
  import: 'default',
})
const everyones = Object.keys(LANGUAGES) as Language[]
/** What only teachers see is in their languages. */
const languagesOf = (folder: string): readonly Language[] =>
  sources[`${folder}/index.ts`]?.includes("'@/words/teacher'") ? OF_TEACHERS : everyones
const folders = [...new Set(Object.keys(files).map(dirname))].map((folder) => ({ folder }))
const formsOf = (entry: Entry): string[] => (typeof entry === 'string' ? [entry] : Object.values(entry))
const named = (entry: Entry): string[] =>
  [...new Set(formsOf(entry).flatMap((form) => form.match(/\{\w+\}/g) ?? []))].sort()

describe.each(folders)('$folder', ({ folder }) => {
  const english = files[`${folder}/en.ts`]?.default
  const tags = languagesOf(folder)
  const said = everyones.flatMap((tag) => (files[`${folder}/${tag}.ts`] ? [tag] : []))

  it('is there in every language', () => {
    expect(said).toEqual(english ? tags : tags.filter((tag) => tag !== 'en'))
  })

  it.each(said)('says everything in %s, with the same figures', (tag) => {
    const others = english ?? files[`${folder}/de.ts`]!.default
    const own = files[`${folder}/${tag}.ts`]!.default
    expect(Object.keys(own).sort()).toEqual(Object.keys(others).sort())
    // A form for one, or for two, may say it in a word.
    const missing = Object.keys(own).filter(
      (key) =>
        named(own[key]!).join() !== named(others[key]!).join() ||
        formsOf(own[key]!).some((form) => !form.trim()),
    )
    expect(missing).toEqual([])
  })

  it.each(said)('has the plural forms of %s', (tag) => {
    const wanted = new Intl.PluralRules(tag).resolvedOptions().pluralCategories.sort()
    for (const entry of Object.values(files[`${folder}/${tag}.ts`]!.default))
      if (typeof entry !== 'string') expect(Object.keys(entry).sort()).toEqual(wanted)
  })

  it.runIf(english)('has no sentence that nobody says', () => {
    const door = folder.replace('/src/', '@/')
    const beside = Object.entries(sources).filter(
      ([path, text]) => path.startsWith(join(folder, '..') + '/') || text.includes(`'${door}'`),
    )
    const code = beside.filter(([path]) => !/\/words\/|\.test\.ts$/.test(path)).map(([, text]) => text)
    const unsaid = Object.keys(english!).filter((key) => {
      const whole = new RegExp(`['"\`]${key}['"\`]`)
      const built = new RegExp(`\`${key.split('_')[0]}_\\$\\{`)
      return !code.some((text) => whole.test(text) || built.test(text))
    })
    expect(unsaid).toEqual([])
  })
})

describe('words', () => {
  let isOffline = false
  afterEach(() => {
    isOffline = false // the words stay with the page, which other tests have, too
    return speak('en')
  })

  const t = wordsOf(
    { left: { one: '{n} second left', other: '{n} seconds left' }, plain: 'Sent.', named: 'Hello {name}' },
    {
      './uk.ts': () =>
        Promise.resolve({
          default: {
            left: { one: '{n} секунда', few: '{n} секунди', many: '{n} секунд', other: '{n} секунди' },
            plain: 'Надіслано.',
            named: 'Вітаємо, {name}',
          },
        }),
      './de.ts': () =>
        isOffline ? Promise.reject(new Error('no network')) : Promise.resolve({ default: {} }),
    },
  )

  it('take the form that the number wants', async () => {
    expect([1, 2].map((n) => t('left', { n }))).toEqual(['1 second left', '2 seconds left'])
    await speak('uk')
    expect([1, 3, 11, 22].map((n) => t('left', { n }))).toEqual([
      '1 секунда',
      '3 секунди',
      '11 секунд',
      '22 секунди',
    ])
    expect(t('plain')).toBe('Надіслано.')
  })

  it('put in names as they are, braces and all', () => {
    expect(t('named', { name: '{n} <b>' })).toBe('Hello {n} <b>')
  })

  it('let a name run its own way in a sentence from right to left', async () => {
    await speak('ar')
    expect(t('named', { name: 'Fen 2' })).toBe('Hello \u2068Fen 2\u2069')
  })

  it('stay what they were where another language cannot be fetched', async () => {
    isOffline = true
    await expect(speak('de')).rejects.toThrow('no network')
    expect([language.value, t('plain')]).toEqual(['en', 'Sent.'])
  })

  it('are those of the language that was wanted last', async () => {
    await Promise.all([speak('uk'), speak('en')])
    expect(language.value).toBe('en')
  })

  it('know what has to be given', () => {
    expectTypeOf(t<'left'>).parameters.toEqualTypeOf<['left', Record<'n', string | number>]>()
    expectTypeOf(t<'plain'>).parameters.toEqualTypeOf<['plain']>()
  })

  it('write figures and lists as the language does', async () => {
    await speak('uk')
    expect([figure(0.5), listed(['а', 'б', 'в'])]).toEqual(['0,5', 'а, б і в'])
  })
})
