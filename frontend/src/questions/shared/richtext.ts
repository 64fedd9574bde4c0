/** The same light formatting as core/questions/richtext.py, for what is being typed. */
import MarkdownIt from 'markdown-it'

const markdown = new MarkdownIt('zero', { breaks: true, html: false }).enable([
  'escape',
  'backticks',
  'emphasis',
  'newline',
  'list',
])

const FORMULA = /\$(?![\s$])((?:[^$\\\n]|\\.)+?)(?<!\s)\$(?!\d)/y

markdown.inline.ruler.before('escape', 'formula', (state, silent) => {
  FORMULA.lastIndex = state.pos
  const match = state.src[state.pos] === '$' ? FORMULA.exec(state.src) : null
  if (!match) return false
  if (!silent) state.push('formula', '', 0).content = match[1]!
  state.pos += match[0].length
  return true
})
markdown.renderer.rules.formula = (tokens, index) =>
  `<span class="formula">${markdown.utils.escapeHtml(tokens[index]!.content)}</span>`

export const inlineHtml = (source: string): string => markdown.renderInline(source.trim())
export const blockHtml = (source: string): string => markdown.render(source.trim())

/** The text without its formatting, on one line. */
export function plainText(source: string): string {
  const [line] = markdown.parseInline(source.trim(), {})
  const parts = (line?.children ?? []).map((token) => (token.type.endsWith('break') ? ' ' : token.content))
  return parts.join('').replace(/\s+/g, ' ').trim()
}

/** The text with `marks` around (or, if they stand there, taken from around) what is selected. */
export function wrapSelection(field: HTMLTextAreaElement, marks: string): string {
  const { value, selectionStart: from, selectionEnd: to } = field
  const wrapped =
    value.slice(from - marks.length, from) === marks && value.slice(to, to + marks.length) === marks
  const shift = wrapped ? -marks.length : marks.length
  const next = wrapped
    ? value.slice(0, from - marks.length) + value.slice(from, to) + value.slice(to + marks.length)
    : value.slice(0, from) + marks + value.slice(from, to) + marks + value.slice(to)
  requestAnimationFrame(() => field.setSelectionRange(from + shift, to + shift))
  return next
}
