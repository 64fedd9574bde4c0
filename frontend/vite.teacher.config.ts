import { defineConfig } from 'vite'
import { buildOf } from './vite.shared.ts'

// Headless UI is written with the options API.
const build = buildOf('teacher', ['src/app/teacher.ts', 'src/app/screen.ts', 'src/app/remote.ts'])
export default defineConfig({ ...build, define: { ...build.define, __VUE_OPTIONS_API__: true } })
