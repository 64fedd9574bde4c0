/** Copied pages and documents as text: what is bold stays marked, lists keep their numbers, tables their columns. */

const BLOCKS = new Set([
  'P',
  'DIV',
  'H1',
  'H2',
  'H3',
  'H4',
  'H5',
  'H6',
  'LI',
  'TR',
  'UL',
  'OL',
  'TABLE',
  'SECTION',
])

function isBold(element: HTMLElement): boolean {
  const weight = element.style.fontWeight
  if (element.tagName === 'B' || element.tagName === 'STRONG') return weight !== 'normal' && weight !== '400'
  return weight === 'bold' || Number(weight) >= 600
}

function textOf(node: Node): string {
  if (node.nodeType === Node.TEXT_NODE) return (node.textContent ?? '').replace(/\s+/g, ' ')
  if (!(node instanceof HTMLElement) || ['STYLE', 'SCRIPT', 'HEAD'].includes(node.tagName)) return ''
  if (node.tagName === 'BR') return '\n'
  const inside = [...node.childNodes].map(textOf).join('')
  if (node.tagName === 'TD' || node.tagName === 'TH') return `${inside.trim()}\t`
  if (node.tagName === 'TR') return `\n${inside.replace(/\t$/, '')}\n`
  if (node.tagName === 'LI') return `\n${markOf(node)}${inside.trim()}\n`
  if (BLOCKS.has(node.tagName)) return `\n${inside}\n`
  return isBold(node) && inside.trim() && !inside.includes('\n') ? `**${inside.trim()}**` : inside
}

function markOf(item: HTMLElement): string {
  const list = item.parentElement
  if (list?.tagName !== 'OL') return '- '
  const number = [...list.children].indexOf(item) + (Number(list.getAttribute('start')) || 1)
  const letters = /^(a|A|lower-alpha|upper-alpha)$/.test(
    list.getAttribute('type') ?? list.style.listStyleType,
  )
  return letters ? `${String.fromCharCode(96 + number)}) ` : `${number}. `
}

/** The text of what was copied, or null where plain text says as much. */
export function textOfHtml(html: string): string | null {
  const body = new DOMParser().parseFromString(html, 'text/html').body
  if (!body.querySelector('b, strong, li, table, [style*="bold"]')) return null
  return textOf(body)
    .replace(/[ ]*\n[ ]*/g, '\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
}
