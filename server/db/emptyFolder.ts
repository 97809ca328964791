import { existsSync, readdirSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { projectRoot } from '../projectRoot.ts'

/** An empty database laid out beforehand: making one anew takes seconds. Written by `server/cli/layOutEmpty.ts`. */
export const emptyFolderFile = join(projectRoot, 'node_modules/.cache/fold-sprig/empty.tar')

const isNew = (dataDir: string) =>
  dataDir.startsWith('memory://') || !existsSync(dataDir) || readdirSync(dataDir).length === 0

/** What a folder that holds nothing yet is filled from, where it was laid out. */
export async function emptyFolderFor(dataDir: string): Promise<Blob | undefined> {
  if (!isNew(dataDir) || !existsSync(emptyFolderFile)) return undefined
  return new Blob([await readFile(emptyFolderFile)])
}
