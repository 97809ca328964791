import { defineConfig } from 'vite'

/** The server in one file: a start from it takes half the time of one from the sources. */
export default defineConfig({
  resolve: { tsconfigPaths: true },
  ssr: { noExternal: true, external: ['@electric-sql/pglite', 'pg'] },
  build: {
    ssr: 'server/main.ts',
    outDir: 'dist-server',
    emptyOutDir: true,
    target: 'node20',
    copyPublicDir: false,
  },
})
