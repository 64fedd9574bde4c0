import vue from '@vitejs/plugin-vue'
import tailwindcss from '@tailwindcss/vite'
import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { UserConfig } from 'vite'

/**
 * A language is one file to fetch, whatever features its words are of; those that are said once somebody sits
 * are another. English comes with what says it.
 */
const WORDS = /(\/own|\/seated|\/doing|\/lights?|\/games\/[\w/]+)?\/words\/(?!en|index)(\w\w)\.(ts|json)$/
const wordsChunk = (module: string): string | null => {
  const found = WORDS.exec(module)
  return found && `${ofTeachers(module) ? 'teacher-' : found[1] ? 'later-' : ''}words-${found[2]}`
}

/** What only teachers' pages say is fetched by these alone, not by the big screen that is built beside them. */
function ofTeachers(module: string): boolean {
  const index = join(dirname(module), 'index.ts')
  if (module.endsWith('.json')) return true
  return existsSync(index) && readFileSync(index, 'utf8').includes("'@/words/teacher'")
}

/**
 * What a student's page needs first comes in one file, whoever else needs some of it: each file more costs what the
 * others could have said for it.
 */
const FIRST =
  /\/src\/(api\/(ids|refusal)\.ts|words\/\w+\.ts|live\/student\/((words|told)\/(en|index|codes)\.ts|(who\/(index|who)|request|seat|look|recipes|ownLanguage)\.ts|who\/AskName\.vue|(PhoneFrame|OwnLook)\.vue))/

/** One build each for teachers and students: a shared one would nearly double what a phone loads. */
export function buildOf(app: 'teacher' | 'student', entries: string[]): UserConfig {
  return {
    root: fileURLToPath(new URL('.', import.meta.url)),
    base: `/static/${app}/`,
    publicDir: 'public',
    plugins: [vue(), tailwindcss()],
    resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
    define: {
      __VUE_OPTIONS_API__: false,
      __VUE_PROD_DEVTOOLS__: false,
      __VUE_I18N_FULL_INSTALL__: true,
      __VUE_I18N_LEGACY_API__: false,
      __INTLIFY_PROD_DEVTOOLS__: false,
    },
    build: {
      outDir: `dist/${app}`,
      emptyOutDir: true,
      manifest: 'manifest.json',
      assetsInlineLimit: 0,
      rolldownOptions: {
        input: entries,
        output: {
          codeSplitting: {
            groups: [
              { name: wordsChunk, debugName: 'words', test: WORDS },
              ...(app === 'student' ? [{ name: 'first', test: FIRST }] : []),
            ],
          },
        },
      },
    },
  }
}
