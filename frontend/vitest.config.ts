import vue from '@vitejs/plugin-vue'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  // One page for all files: a new one for each takes three times as long, and no test leaves anything behind.
  test: { environment: 'happy-dom', isolate: false },
})
