/** What a guest is called: a number, in the language of the device. Nobody stores it. */
const GUEST: Record<string, string> = {
  en: 'Guest',
  de: 'Gast',
  fr: 'Invité',
  es: 'Invitado',
  ar: 'ضيف',
  uk: 'Гість',
}

/** The device's language, of those that there are words in. */
export function ownLanguage(): string {
  const wanted = navigator.languages.map((language) => language.slice(0, 2).toLowerCase())
  return wanted.find((language) => language in GUEST) ?? 'en'
}

export const guestName = (seat: number): string => `${GUEST[ownLanguage()]} ${seat}`
