/** The word that is spoken, marked on the page: by a highlight, so that nothing of the page is changed. */
import type { SpokenPart } from '@/api/types'

const NAME = 'spoken'
/** Written here: what packs the styles does not know of highlights yet. */
const LOOK = `::highlight(${NAME}) { background-color: var(--color-lamp); color: #000000; }`

/** What stands between the words and is not read with them; and what is one word, however much stands in it. */
// eslint-disable-next-line words/no-bare-words -- elements
const APART = 'select, input, button'
const WHOLE = '.formula'

/** As `words_of` of the core: a text as its words, a formula as one. */
const walked: NodeFilter = {
  acceptNode(node) {
    if (node instanceof Text) return NodeFilter.FILTER_ACCEPT
    const element = node as Element
    if (element.matches(APART)) return NodeFilter.FILTER_REJECT
    return element.matches(WHOLE) ? NodeFilter.FILTER_ACCEPT : NodeFilter.FILTER_SKIP
  },
}

/** A range for each word of an element, in the order of its text. */
export function wordsIn(element: Element): Range[] {
  const found: Range[] = []
  const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT, walked)
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    if (node instanceof Element) {
      const whole = document.createRange()
      whole.selectNodeContents(node)
      found.push(whole)
      continue
    }
    if (node.parentElement?.closest(WHOLE)) continue
    for (const word of node.textContent!.matchAll(/\S+/g)) {
      const range = document.createRange()
      range.setStart(node, word.index)
      range.setEnd(node, word.index + word[0].length)
      found.push(range)
    }
  }
  return found
}

/** Which word is spoken at a moment, in milliseconds. */
export const wordAt = (words: readonly number[], now: number): number =>
  words.filter((moment) => moment <= now).length - 1

let isStyled = false
function style(): void {
  if (isStyled) return
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(LOOK)
  document.adoptedStyleSheets.push(sheet)
  isStyled = true
}

export function unfollow(): void {
  CSS.highlights?.delete(NAME)
}

/** Follows a part while it is spoken; returns what ends it. A letter that is spoken before its option is no word there. */
export function follow(part: string, spoken: SpokenPart, now: () => number): () => void {
  const element = document.querySelector(`[data-read="${CSS.escape(part)}"]`)
  const ranges = element ? wordsIn(element) : []
  const before = spoken.of - ranges.length - spoken.start
  const timer = setInterval(() => {
    const range = ranges[wordAt(spoken.words, now()) - before]
    unfollow()
    if (!range || !CSS.highlights) return
    style()
    CSS.highlights.set(NAME, new Highlight(range))
  }, 60)
  return () => {
    clearInterval(timer)
    unfollow()
  }
}
