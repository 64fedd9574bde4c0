import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

/**
 * From the ground up; a folder imports only from those before it. `ui` and `composables` know no feature.
 * Each feature is entered by its doors alone.
 */
const LAYERS = [
  ['api'],
  ['words'],
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
  questions: ['registry', 'blank', 'kindViews', 'ItemGlance\\.vue', 'shared/.*'],
  games: ['registry', 'gameViews', 'shared/.*'],
  classes: ['student'],
  live: ['desk', 'remote', 'run', 'screen', 'student', 'student/tried'],
}
const OPEN = ['api', 'words', 'composables', 'ui']

/** What files of a folder may not import: layers above, others of its own layer, and rooms behind a door. */
function boundaries(folder, level) {
  const above = LAYERS.slice(level).flat().filter((other) => other !== folder)
  const below = LAYERS.slice(0, level).flat().filter((other) => !OPEN.includes(other))
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
  ...LAYERS.flatMap((folders, level) => folders.map((folder) => boundaries(folder, level))),
)
