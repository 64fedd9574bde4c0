import vue from '@vitejs/plugin-vue'
import tailwindcss from '@tailwindcss/vite'
import { fileURLToPath } from 'node:url'
import type { UserConfig } from 'vite'

/** One build each for teachers and students: a shared one would nearly double what a phone loads. */
export function buildOf(app: 'teacher' | 'student', entries: string[]): UserConfig {
  return {
    root: fileURLToPath(new URL('.', import.meta.url)),
    base: `/static/${app}/`,
    publicDir: 'public',
    plugins: [vue(), tailwindcss()],
    resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
    define: { __VUE_OPTIONS_API__: false, __VUE_PROD_DEVTOOLS__: false },
    build: {
      outDir: `dist/${app}`,
      emptyOutDir: true,
      manifest: 'manifest.json',
      assetsInlineLimit: 0,
      rolldownOptions: { input: entries },
    },
  }
}
