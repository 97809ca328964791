import { createHash } from 'node:crypto'
import { mkdirSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { projectRoot } from '../projectRoot.ts'

const folder = join(projectRoot, 'node_modules/.cache/fold-sprig')
/** Raise when the shape of what is kept changes. */
const SHAPE = 8

/** One hash over all that the book is made of. */
export function contentHash(floraFolder: string): string {
  const hash = createHash('sha1').update(String(SHAPE))
  const files = readdirSync(floraFolder, { recursive: true, withFileTypes: true }).filter((f) => f.isFile())
  for (const path of files.map((f) => join(f.parentPath, f.name)).sort()) hash.update(path).update(readFileSync(path))
  return hash.digest('hex')
}

/** What was read and checked before for the same files, else read now and kept: reading the YAML takes most of a start. */
export function kept<T>(hash: string, read: () => T): T {
  const file = join(folder, `flora-${hash}.json`)
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as T
  } catch {
    const value = read()
    try {
      mkdirSync(folder, { recursive: true })
      writeFileSync(`${file}.${process.pid}`, JSON.stringify(value))
      renameSync(`${file}.${process.pid}`, file)
    } catch {
      // A folder that cannot be written only costs time at the next start.
    }
    return value
  }
}
