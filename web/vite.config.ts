import vue from '@vitejs/plugin-vue'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  // The server puts another word here in each answer (Content Security Policy).
  html: { cspNonce: 'page-nonce' },
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: { outDir: 'target/classes/static', emptyOutDir: true, chunkSizeWarningLimit: 1500 },
  server: { proxy: { '/api': 'http://localhost:8086' } },
  // The tests keep nothing between them; a document for each file takes ten times as long.
  test: { environment: 'jsdom', isolate: false, include: ['src/**/*.test.ts'] },
})
