import { readdirSync } from 'node:fs'
import { parse } from 'node:path'
import { defineConfig } from 'vite'

const commands = readdirSync('server/cli').map((file) => [`cli/${parse(file).name}`, `server/cli/${file}`])

/** The server built, with the database's thread and the commands beside it: a start takes half the time of one from the sources. */
export default defineConfig({
  resolve: { tsconfigPaths: true },
  ssr: { noExternal: true, external: ['@electric-sql/pglite', '@node-rs/argon2', 'pg', 'pino'] },
  build: {
    ssr: true,
    rolldownOptions: {
      input: { main: 'server/main.ts', dbThread: 'server/db/dbThread.ts', ...Object.fromEntries(commands) },
      // What opens the database looks for its thread beside itself.
      output: { chunkFileNames: '[name]-[hash].js' },
    },
    outDir: 'dist-server',
    emptyOutDir: true,
    target: 'node20',
    copyPublicDir: false,
  },
})
