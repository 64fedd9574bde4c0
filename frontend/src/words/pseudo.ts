/**
 * A language that nobody speaks, to look after the words: English with every letter another, a third longer, and from right
 * to left on request. What is cut off in it has too little room, and what can be read in it stands in no catalogue.
 *
 * `localStorage['lantern.pseudo'] = 'ltr'`, or `'rtl'`, and load the page again.
 */
const LETTERS = 'áá ƀ ç ð éé ƒ ĝ ĥ ïï ĵ ķ ļ ɱ ñ öö þ ʠ ŕ š ţ üü ṽ ŵ ẋ ÿ ž'.split(' ')

function chosen(): '' | 'ltr' | 'rtl' {
  try {
    const kept = localStorage.getItem('lantern.pseudo')
    return kept === 'ltr' || kept === 'rtl' ? kept : ''
  } catch {
    return ''
  }
}
export const PSEUDO = chosen()

const disguised = (letter: string): string => {
  const other = LETTERS[letter.toLowerCase().charCodeAt(0) - 97]!
  return letter === letter.toLowerCase() ? other : other.toUpperCase()
}

/** A sentence in it; names in braces stay. As it is, where nobody looks after the words. */
export const inPseudo = (sentence: string): string =>
  PSEUDO
    ? sentence.replace(/\{\w+\}|[a-z]/gi, (found) => (found.length > 1 ? found : disguised(found)))
    : sentence
