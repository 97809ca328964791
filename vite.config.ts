import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { packBuilt } from './scripts/packBuilt.ts'
import { preloadStart } from './scripts/preloadStart.ts'
import { serviceWorker } from './scripts/serviceWorker.ts'

const apiPort = process.env.PORT ?? '4170'

export default defineConfig({
  plugins: [react(), tailwindcss(), preloadStart(), serviceWorker(), packBuilt()],
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
            // On its own: texts that are made when their module is read must not be read before the language is.
            {
              name: 'language',
              test: /web\/language\/(say|languages)\.ts|texts\/en\.json|core\/say\.ts|node_modules\/i18next\/|preload-helper/,
              priority: 10,
            },
            { name: 'shared', minShareCount: 4 },
            { name: 'shared-by-few', minShareCount: 2, maxModuleSize: 30_000 },
          ],
        },
      },
    },
  },
  server: { port: 5173, proxy: { '/api': `http://127.0.0.1:${apiPort}` } },
})
