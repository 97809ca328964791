import { PGlite, types } from '@electric-sql/pglite'
import { closeSync, fsyncSync, openSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { emptyFolderFor } from './emptyFolder.ts'

export const asIs = (text: string) => text
export const iso = (text: string) => new Date(text).toISOString()
export const integer = (text: string) => Number(text)

/** What PGlite's file system looks like where it has one on the disk: only what is used here. */
interface OnDisk {
  realPath: (node: unknown) => string
  stream_ops: { fsync?: (stream: { nfd?: number | null; node: unknown }) => number }
}

function flush(path: string): void {
  const file = openSync(path, 'r')
  try {
    fsyncSync(file)
  } finally {
    closeSync(file)
  }
}

function flushFolder(folder: string): void {
  for (const f of readdirSync(folder, { withFileTypes: true })) {
    if (f.isDirectory()) flushFolder(join(folder, f.name))
    else if (f.isFile()) flush(join(folder, f.name))
  }
  flush(folder)
}

/**
 * PGlite as shipped never asks the disk to write out what it holds: a commit then outlives a killed process, but not a
 * power cut. Here it is started without `-F`, and its flushes reach the disk, so that PostgreSQL's own order (log before
 * data, log flushed before a commit is answered) holds for the folder as it does for a server.
 */
const durable = [...PGlite.defaultStartParams.filter((p) => p !== '-F'), '-c', 'wal_sync_method=fsync']

function reachTheDisk(lite: PGlite): void {
  const disk = (lite.Module as unknown as { NODEFS: OnDisk }).NODEFS
  disk.stream_ops.fsync = ({ nfd, node }) => {
    if (typeof nfd === 'number') fsyncSync(nfd)
    else flush(disk.realPath(node))
    return 0
  }
}

/** PGlite in a folder or in memory (`memory://`), with whole numbers as numbers, dates and times as text. */
export async function openPglite(dataDir: string): Promise<PGlite> {
  const inMemory = dataDir.startsWith('memory://')
  const loadDataDir = await emptyFolderFor(dataDir)
  const lite = await PGlite.create({
    dataDir,
    ...(loadDataDir ? { loadDataDir } : {}),
    ...(inMemory ? {} : { startParams: durable }),
    parsers: { [types.INT8]: integer, [types.DATE]: asIs, [types.TIMESTAMP]: asIs, [types.TIMESTAMPTZ]: iso },
  })
  if (inMemory) return lite
  reachTheDisk(lite)
  await lite.exec('checkpoint')
  flushFolder(dataDir)
  return lite
}
