// Writes a .br and a .gz beside each built text file, so that the server sends them as they are.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import type { Plugin } from 'vite'

const SMALLEST = 1000

/** A step of the build that comes after all files are written. */
export function precompress(): Plugin {
  let outDir = 'dist'
  return {
    name: 'pack-built',
    apply: 'build',
    configResolved(config) {
      outDir = config.build.outDir
    },
    closeBundle() {
      for (const f of readdirSync(join(outDir, 'assets'), { withFileTypes: true })) {
        if (!f.isFile() || !/\.(js|css)$/.test(f.name)) continue
        const path = join(outDir, 'assets', f.name)
        const text = readFileSync(path)
        if (text.length < SMALLEST) continue
        writeFileSync(`${path}.gz`, gzipSync(text, { level: 9 }))
        writeFileSync(`${path}.br`, brotliCompressSync(text))
      }
    },
  }
}
