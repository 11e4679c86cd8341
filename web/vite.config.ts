import vue from '@vitejs/plugin-vue'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'

/** Less is not worth a file. */
const LEAST_COMPRESSED = 1000

/** Puts beside each file what is sent of it compressed, so that the server need not compress it for each browser. */
const compressed: Plugin = {
  name: 'compressed',
  apply: 'build',
  // What is written by then is what is sent: files are still changed while they are put together.
  writeBundle({ dir = '' }, bundle) {
    const names = Object.keys(bundle).filter((name) => /\.(js|css|svg)$/.test(name))
    for (const path of names.map((name) => join(dir, name))) {
      const source = readFileSync(path)
      if (source.length > LEAST_COMPRESSED) {
        writeFileSync(`${path}.br`, brotliCompressSync(source))
        writeFileSync(`${path}.gz`, gzipSync(source))
      }
    }
  },
}

export default defineConfig({
  plugins: [vue(), compressed],
  // The server puts another word here in each answer (Content Security Policy).
  html: { cspNonce: 'page-nonce' },
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: { outDir: 'target/classes/static', emptyOutDir: true, chunkSizeWarningLimit: 1500 },
  server: { proxy: { '/api': 'http://localhost:8086' } },
  // The tests keep nothing between them; a document for each file takes ten times as long.
  // None of them waits for the clock: how long one may take only ends one that hangs.
  test: {
    environment: 'jsdom',
    isolate: false,
    include: ['src/**/*.test.ts'],
    setupFiles: ['src/testing/noWarnings.ts'],
    testTimeout: 60_000,
  },
})
