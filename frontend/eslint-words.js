/** A rule that finds what is said to people outside the catalogues: in scripts, and in what templates compute. */

/** What looks like a sentence, or the beginning of one: two words in letters, or one with a capital. */
const SAID = /\p{L}{2,},? \p{L}{2,}|^\p{Lu}\p{Ll}{2,}[.!?…]?$/u
/** Names of classes: words of signs, none of them with a capital. */
const CLASSES = /^\s*[a-z0-9@!*<>[\]().,:;/%#_&=+'"-]+(\s+[a-z0-9@!*<>[\]().,:;/%#_&=+'"-]+)*\s*$/
const IS_CLASSES = /[-:[\]/]|^(flex|grid|block|sr-only|hidden|figure|prose)\b/
/** Keys of a keyboard, and names that the platform gives. */
const NAMES = new Set(
  'Enter Escape Home End Space Tab Shift Control Meta Alt Delete Backspace File ArrowUp ArrowDown ArrowLeft ArrowRight PageUp PageDown Authorization Bearer'.split(
    ' ',
  ),
)
const OF_THE_PLATFORM = new Set([
  'querySelector',
  'querySelectorAll',
  'closest',
  'matches',
  'Error',
  'Symbol',
  'open',
  'setAttribute',
])

const PRODUCT = 'Tall Lantern'

const isSaid = (text) =>
  SAID.test(text.replace(PRODUCT, '')) &&
  !text.startsWith('<') &&
  !NAMES.has(text) &&
  !(CLASSES.test(text) && IS_CLASSES.test(text)) &&
  !/^[MmLl]-?\d/.test(text)

function isNoWords(node) {
  for (let above = node.parent, below = node; above; below = above, above = above.parent) {
    if (above.type.startsWith('TS') && above.type.includes('Type')) return true
    if (above.type === 'ImportDeclaration' || above.type.startsWith('Export'))
      return 'source' in above && above.source === below
    if (above.type === 'CallExpression' || above.type === 'NewExpression') {
      const called = above.callee.property?.name ?? above.callee.name
      return OF_THE_PLATFORM.has(called) && above.arguments.includes(below)
    }
    if (above.type === 'Property' && above.key === below && !above.computed) return true
    if (above.type === 'VAttribute') return ['class', 'style', 'is'].includes(above.key.argument?.name)
    if (above.type.endsWith('Statement') || above.type.endsWith('Declaration')) return false
  }
  return false
}

const rule = {
  meta: {
    type: 'problem',
    messages: { said: 'What is said to people belongs in a catalogue: “{{ text }}”.' },
  },
  create(context) {
    const look = (node, text) => {
      if (isSaid(text) && !isNoWords(node))
        context.report({ node, messageId: 'said', data: { text: text.slice(0, 60) } })
    }
    const visitor = {
      Literal: (node) => typeof node.value === 'string' && look(node, node.value),
      TemplateLiteral: (node) => look(node, node.quasis.map((part) => part.value.cooked).join(' ')),
    }
    const services = context.sourceCode.parserServices
    return services.defineTemplateBodyVisitor ? services.defineTemplateBodyVisitor(visitor, visitor) : visitor
  },
}

export default { rules: { 'no-bare-words': rule } }
