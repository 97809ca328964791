import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, unlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'

/** Another process holds the data folder. Two on one folder would damage it without a word. */
export class FolderInUse extends Error {
  constructor(folder: string, pid: number) {
    super(`The data folder ${folder} is open in process ${pid}. Close that one first, or start with another DATA_DIR.`)
  }
}

/** Nothing can be written into the data folder; nothing in it was changed. */
export class FolderClosed extends Error {
  constructor(folder: string, cause: unknown) {
    super(
      `Nothing can be written into the data folder ${folder} (${(cause as Error).message}). ` +
        'Is it read-only, somebody else’s, or the disk full? Mend that, or start with another DATA_DIR.',
      { cause },
    )
  }
}

/** A process id alone may be taken again by another program; with its start time it is the same process. */
function startOf(pid: number): string | undefined {
  try {
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ')[19]
  } catch {
    return undefined
  }
}

function isAlive({ pid, start }: { pid: number; start?: string }): boolean {
  try {
    process.kill(pid, 0)
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
  const now = startOf(pid)
  return start === undefined || now === undefined || now === start
}

function holderOf(file: string): { pid: number; start?: string } | undefined {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as { pid: number; start?: string }
  } catch {
    return undefined
  }
}

/**
 * Take the folder for this process. The lock file is linked in one step, so that of several started at once one wins;
 * a lock whose process is gone is moved away first.
 *
 * @returns gives the folder back
 * @throws FolderInUse, FolderClosed
 */
export function lockFolder(folder: string): () => void {
  const file = join(folder, 'in-use.json')
  const mine = join(folder, `in-use.${randomUUID()}.tmp`)
  try {
    mkdirSync(folder, { recursive: true })
    writeFileSync(mine, JSON.stringify({ pid: process.pid, start: startOf(process.pid) }))
  } catch (error) {
    throw new FolderClosed(folder, error)
  }
  try {
    for (let tries = 0; tries < 5; tries++) {
      try {
        linkSync(mine, file)
        return () => rmSync(file, { force: true })
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
      }
      const holder = holderOf(file)
      if (holder && isAlive(holder)) throw new FolderInUse(folder, holder.pid)
      const stale = `${mine}.stale`
      try {
        renameSync(file, stale)
        unlinkSync(stale)
      } catch {
        // Another starter moved it first; look again.
      }
    }
    throw new FolderInUse(folder, holderOf(file)?.pid ?? 0)
  } finally {
    rmSync(mine, { force: true })
  }
}
