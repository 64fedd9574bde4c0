/** For tests: whether words of the page, among those of a question, say by `lang` that they are the page's. */
import type { VueWrapper } from '@vue/test-utils'
import { nextTick } from 'vue'
import { speak } from '.'

const SAID = ['aria-label', 'title', 'alt', 'placeholder']
const isArabic = (text: string | null): boolean => /\p{Script=Arabic}/u.test(text ?? '')

/** What a page in Arabic says in another language's voice. A field for an answer is in the question's, with its name. */
export async function misspoken(view: VueWrapper): Promise<string[]> {
  await speak('ar')
  await nextTick()
  const all = [view.element, ...view.element.querySelectorAll('*')].filter((one) => one instanceof Element)
  const found = all
    .filter((one) => one.closest('[lang]')?.getAttribute('lang') !== 'ar')
    .flatMap((one) => [
      ...[...one.childNodes].filter((node) => node.nodeType === 3).map((node) => node.textContent),
      ...(one.matches('input:not([type=range]), select, textarea')
        ? []
        : SAID.map((name) => one.getAttribute(name))),
    ])
  await speak('en')
  await nextTick()
  return found.filter(isArabic).map(String)
}
