import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'
import words from './eslint-words.js'

/**
 * From the ground up; a folder imports only from those before it. `ui` and `composables` know no feature.
 * Each feature is entered by its doors alone.
 */
const LAYERS = [
  ['api'],
  ['words'],
  ['told'],
  ['composables'],
  ['ui'],
  ['media', 'lights', 'aside'],
  ['games', 'questions'],
  ['accounts', 'classes', 'live', 'reports', 'exchange'],
  ['work'],
  ['library'],
  ['app'],
]
/** Rooms that others may enter without the front door: what a student loads must not come with what teachers do. */
const DOORS = {
  media: ['shown/.*'],
  lights: ['LightSign\\.vue', 'forms', 'named'],
  questions: ['registry', 'blank', 'kindViews', 'editing', 'ItemGlance\\.vue', '(shared|editing)/.*'],
  games: ['registry', 'gameViews', 'desks', 'shared/.*'],
  classes: ['student'],
  live: ['desk', 'remote', 'run', 'screen', 'student', 'student/tried'],
}
/** What is the same in every language: the product's name, signs, keys, sizes and the endings of files. */
const SAME = [
  'Tall Lantern',
  'OneRoster',
  'xlsx, ods, csv',
  'docx, pptx, pdf',
  'txt, md',
  'ods',
  'csv',
  'A4',
  'Aa',
  'n =',
  '+15 s',
  'Alt+↑',
  'Alt+↓',
  'Alt ↑ ↓',
  ...'CFHLNRSUV0123456789'.split(''),
  ...'( ) , . & + - = * / # % ! ? : ; [ ] { } < > · • – — − | ← → ↑ ↓ ↗ ↵ ↶ ↷ ‹ › ▲ ▼ ▾ ▸ ◂ ✓ ✗ ✕ × ⚠ … ⋯ ± “ ” „ ’ s'.split(
    ' ',
  ),
  '\u200b',
]
const OPEN = ['api', 'words', 'told', 'composables', 'ui']

/** What files of a folder may not import: layers above, others of its own layer, and rooms behind a door. */
function boundaries(folder, level) {
  const above = LAYERS.slice(level)
    .flat()
    .filter((other) => other !== folder)
  const below = LAYERS.slice(0, level)
    .flat()
    .filter((other) => !OPEN.includes(other))
  const patterns = [
    { regex: `^@/(${above.join('|')})(/|$)`, message: 'It stands above, or beside.' },
    ...below.map((other) => ({
      regex: `^@/${other}/(?!(${(DOORS[other] ?? []).join('|')})$)`,
      message: 'Come in by its door.',
    })),
  ].filter((_, index) => index || above.length)
  return {
    files: [`src/${folder}/**/*.{ts,vue}`],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns }] },
  }
}

export default ts.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      // Every HTML that is shown has been cleaned by the server's allow-list (questions/richtext.py).
      'vue/no-v-html': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off',
      'vue/require-default-prop': 'off',
      'no-undef': 'off',
    },
  },
  {
    files: ['src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', '**/words/*.ts', 'src/api/**'],
    plugins: { words },
    rules: {
      'words/no-bare-words': 'error',
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: SAME,
          attributes: {
            '/.+/': [
              'title',
              'label',
              'hint',
              'placeholder',
              'text',
              'unit',
              'word',
              'alt',
              'caption',
              'summary',
            ],
            '/.*/': [
              'aria-label',
              'aria-description',
              'aria-roledescription',
              'aria-valuetext',
              'aria-placeholder',
            ],
          },
        },
      ],
    },
  },
  ...LAYERS.flatMap((folders, level) => folders.map((folder) => boundaries(folder, level))),
)
