import { linkSync, mkdirSync, readFileSync, readlinkSync, renameSync, rmSync, statSync, unlinkSync, utimesSync, writeFileSync } from 'node:fs' // prettier-ignore
import { hostname } from 'node:os'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'

/** Another process holds the data folder. Two on one folder would damage it without a word. */
export class FolderInUse extends Error {
  /** @param elsewhere host or container of the process, where it is not ours */
  constructor(folder: string, pid: number, elsewhere?: string) {
    super(
      `The data folder ${folder} is open in process ${pid}${elsewhere ? ` of ${elsewhere}` : ''}. Close that one first, or start with another DATA_DIR.` +
        (elsewhere ? ` If it ended without closing, the folder is free ${GONE_MS / 1000} s after its last sign.` : ''),
    )
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

interface Holder {
  pid: number
  start?: string
  /** Machine and space of process ids in which the id means something; written by versions that know of others. */
  where?: string
}

/** Another container or host does not see our processes, nor we theirs: then only the heartbeat tells. */
function whereWeAre(): string {
  try {
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
    return `${hostname()} ${boot} ${readlinkSync('/proc/self/ns/pid')}`
  } catch {
    return hostname()
  }
}

/** A holder elsewhere writes so often that it is there, and is given up after so long without. */
export const BEAT_MS = 5_000
export const GONE_MS = 30_000

const lastBeat = (file: string): number => {
  try {
    return statSync(file).mtimeMs
  } catch {
    return 0
  }
}

/** Name of the host or container of a holder that is not in our space of process ids. */
const elsewhere = ({ where }: Holder): string | undefined =>
  where !== undefined && where !== whereWeAre() ? where.split(' ')[0] : undefined

function isAlive(file: string, holder: Holder): boolean {
  if (elsewhere(holder)) return Date.now() - lastBeat(file) < GONE_MS
  const { pid, start } = holder
  try {
    process.kill(pid, 0)
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
  const now = startOf(pid)
  return start === undefined || now === undefined || now === start
}

function holderOf(file: string): Holder | undefined {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Holder
  } catch {
    return undefined
  }
}

function beatIn(file: string): void {
  try {
    const now = new Date()
    utimesSync(file, now, now)
  } catch {
    // A disk that cannot be written for a moment: the next beat tells.
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
    writeFileSync(mine, JSON.stringify({ pid: process.pid, start: startOf(process.pid), where: whereWeAre() }))
  } catch (error) {
    throw new FolderClosed(folder, error)
  }
  try {
    for (let tries = 0; tries < 5; tries++) {
      try {
        linkSync(mine, file)
        const beat = setInterval(() => beatIn(file), BEAT_MS).unref()
        return () => {
          clearInterval(beat)
          rmSync(file, { force: true })
        }
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
      }
      const holder = holderOf(file)
      if (holder && isAlive(file, holder)) throw new FolderInUse(folder, holder.pid, elsewhere(holder))
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
