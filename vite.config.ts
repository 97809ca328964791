import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { packBuilt } from './scripts/packBuilt.ts'
import { serviceWorker } from './scripts/serviceWorker.ts'

const apiPort = process.env.PORT ?? '4170'

export default defineConfig({
  plugins: [react(), tailwindcss(), serviceWorker(), packBuilt()],
  resolve: { tsconfigPaths: true },
  // The server puts a fresh nonce in place of this word in each page it sends.
  html: { cspNonce: '__CSP_NONCE__' },
  worker: { format: 'es' },
  build: {
    outDir: 'dist',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
    // What many places share comes as one file: a page that asks for thirty small ones opens later, not sooner.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'shared', minShareCount: 4 },
            { name: 'shared-by-few', minShareCount: 2, maxModuleSize: 30_000 },
          ],
        },
      },
    },
  },
  server: { port: 5173, proxy: { '/api': `http://127.0.0.1:${apiPort}` } },
})
