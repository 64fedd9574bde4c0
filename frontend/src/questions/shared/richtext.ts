/** The same light formatting as core/questions/richtext.py, for what is being typed. */
import MarkdownIt from 'markdown-it'
import { FORMULA } from './formulas'

const markdown = new MarkdownIt('zero', { breaks: true, html: false }).enable([
  'escape',
  'backticks',
  'emphasis',
  'newline',
  'list',
])

const FORMULA_HERE = new RegExp(FORMULA, 'y')

markdown.inline.ruler.before('escape', 'formula', (state, silent) => {
  FORMULA_HERE.lastIndex = state.pos
  const match = state.src[state.pos] === '$' ? FORMULA_HERE.exec(state.src) : null
  if (!match) return false
  if (!silent) state.push('formula', '', 0).content = match[1]!
  state.pos += match[0].length
  return true
})
markdown.renderer.rules.formula = (tokens, index) =>
  `<span class="formula">${markdown.utils.escapeHtml(tokens[index]!.content)}</span>`

export const inlineHtml = (source: string): string => markdown.renderInline(source.trim())
export const blockHtml = (source: string): string => markdown.render(source.trim())

/** The text without its formatting, on one line. Formulas stay `$LaTeX$`: `lineHtml` shows them. */
export function plainText(source: string): string {
  const [line] = markdown.parseInline(source.trim(), {})
  const parts = (line?.children ?? []).map(({ type, content }) => {
    if (type.endsWith('break')) return ' '
    return type === 'formula' ? `$${content}$` : content
  })
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
