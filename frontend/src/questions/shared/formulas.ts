/**
 * Formulas on the page. Wherever formatted text is shown, its formulas stand in elements of the class
 * `formula` as LaTeX; one observer sets them as MathML as they appear. KaTeX is loaded with the first one.
 */
const SELECTOR = '.formula:not([data-set])'

/** As in core/questions/richtext.py. */
export const FORMULA = /\$(?![\s$])((?:[^$\\\n]|\\.)+?)(?<!\s)\$(?!\d)/

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => ESCAPES[sign]!)

/** A line without formatting, as lists show it: its formulas are set, all else stands as it is. */
export function lineHtml(line: string): string {
  return line
    .split(new RegExp(FORMULA, 'g'))
    .map((part, index) => (index % 2 ? `<span class="formula">${escaped(part)}</span>` : escaped(part)))
    .join('')
}

async function setAll(root: ParentNode): Promise<void> {
  const found = [...root.querySelectorAll<HTMLElement>(SELECTOR)]
  if (!found.length) return
  const { default: katex } = await import('katex')
  for (const element of found) {
    const source = element.textContent ?? ''
    if ('set' in element.dataset || !element.isConnected) continue
    element.dataset.set = source
    katex.render(source, element, { output: 'mathml', throwOnError: false, maxSize: 20, maxExpand: 200 })
  }
}

/** Sets every formula under `root`, now and whenever some are added. Returns how to stop. */
export function watchFormulas(root: HTMLElement = document.body): () => void {
  const observer = new MutationObserver(() => void setAll(root))
  observer.observe(root, { childList: true, subtree: true })
  void setAll(root)
  return () => observer.disconnect()
}
