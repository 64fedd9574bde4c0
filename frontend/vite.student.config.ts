import { defineConfig } from 'vite'
import { buildOf } from './vite.shared.ts'

export default defineConfig(buildOf('student', ['src/app/student.ts']))
