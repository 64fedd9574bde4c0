import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

/** A page that has just been opened on a device with these languages. */
async function opened(...device: string[]) {
  vi.resetModules()
  vi.stubGlobal('navigator', { ...navigator, languages: device })
  return import('./ownLanguage')
}

describe('the language of a device', () => {
  beforeEach(() => localStorage.clear())
  afterEach(async () => {
    vi.unstubAllGlobals()
    Object.assign(document.documentElement, { lang: 'en', dir: 'ltr' })
    await (await import('@/words')).speak('en')
    vi.resetModules()
  })

  it('is its own, if there are words in it', async () => {
    expect((await opened('pt-BR', 'fr-CA', 'de')).ownLanguage()).toBe('fr')
    expect((await opened('pt-BR')).ownLanguage()).toBe('en')
  })

  it('is one that the school offers', async () => {
    const page = await opened('fr', 'uk')
    page.offer(['de', 'uk'])
    expect(page.ownLanguage()).toBe('uk')
    page.offer(['es', 'en'])
    expect(page.ownLanguage()).toBe('es')
  })

  it('is what was chosen on it, also the next time', async () => {
    const page = await opened('fr')
    await page.followLanguage()
    page.pick('ar')
    page.offer(['de'])
    expect(page.ownLanguage()).toBe('ar')
    const next = await opened('fr')
    await next.followLanguage()
    expect(next.ownLanguage()).toBe('ar')
  })

  it('is chosen for as long as the page lasts, where nothing is kept', async () => {
    const page = await opened('fr')
    await page.followLanguage(false)
    page.pick('ar')
    expect([page.ownLanguage(), localStorage.length]).toEqual(['ar', 0])
  })

  it('is what the member needs who sits down, until that one chooses another', async () => {
    const page = await opened('fr')
    page.pick('es')
    page.needLanguage('uk')
    expect(page.ownLanguage()).toBe('uk')
    page.pick('de')
    page.needLanguage('uk')
    expect(page.ownLanguage()).toBe('de')
    page.needLanguage('ar')
    expect(page.ownLanguage()).toBe('ar')
    page.needLanguage('')
    expect(page.ownLanguage()).toBe('de')
  })

  it('is said of the page, with the way it runs', async () => {
    const page = await opened('ar')
    await page.followLanguage()
    expect([document.documentElement.lang, document.documentElement.dir]).toEqual(['ar', 'rtl'])
    page.pick('de')
    await vi.waitFor(() =>
      expect([document.documentElement.lang, document.documentElement.dir]).toEqual(['de', 'ltr']),
    )
  })
})
