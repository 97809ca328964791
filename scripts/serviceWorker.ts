// Writes dist/sw.js: the worker with the list of what was built, and a version that changes with it.
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Plugin } from 'vite'

/** A step of the build that comes after all files are written. */
export function serviceWorker(): Plugin {
  let outDir = 'dist'
  return {
    name: 'service-worker',
    apply: 'build',
    configResolved(config) {
      outDir = config.build.outDir
    },
    closeBundle() {
      const files = readdirSync(outDir, { recursive: true, withFileTypes: true })
        .filter(
          (f) => f.isFile() && !['index.html', 'sw.js', 'scripts-by-place.json', 'openings.json'].includes(f.name),
        )
        .map((f) => `/${join(f.parentPath, f.name).slice(outDir.length + 1)}`)
        // Pictures of plants are kept as they are looked at.
        .filter((f) => !f.startsWith('/plates/'))
        // Faces for alphabets that the interface does not use are fetched when they are needed.
        .filter((f) => !/\.woff2?$/.test(f) || /latin-/.test(f))
        .sort()
      const version = createHash('sha1')
        .update(files.join())
        .update(readFileSync(join(outDir, 'index.html')))
        .digest('hex')
        .slice(0, 12)
      const source = readFileSync('web/serviceWorker.js', 'utf8')
      writeFileSync(
        join(outDir, 'sw.js'),
        source.replace('__VERSION__', version).replace('__FILES__', JSON.stringify(files)),
      )
    },
  }
}
