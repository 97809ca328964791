import { told } from '@/contract/told.ts'
import {
  closeSync,
  createWriteStream,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statfsSync,
  statSync,
} from 'node:fs'
import { join } from 'node:path'
import type { Db } from '../db/db.ts'
import { releaseLease, acquireLease } from '../db/lease.ts'
import { readBackup } from './readBackup.ts'
import { writeBackup } from './writeBackup.ts'

const DAY = 24 * 3600 * 1000
const LOOK_EVERY = 3600 * 1000
/** Of several servers on one database and one folder one makes the copy; if it is killed meanwhile, another may. */
const JOB = 'daily copy'
const JOB_MS = 600_000
const pattern = /^copy-\d{4}-\d{2}-\d{2}T\d{6}Z\.zip$/

export interface Copy {
  name: string
  bytes: number
  /** ISO time, as the name says it: file times change when a folder is copied. */
  madeAt: string
}

const timeOf = (name: string) =>
  name.replace(/^copy-(.{10})T(..)(..)(..)Z\.zip$/, (_, day, h, m, s) => `${day}T${h}:${m}:${s}.000Z`)

/** Copies kept in the folder, the latest first. */
export function listCopies(folder: string): Copy[] {
  try {
    return readdirSync(folder)
      .filter((f) => pattern.test(f))
      .sort()
      .reverse()
      .map((name) => ({ name, bytes: statSync(join(folder, name)).size, madeAt: timeOf(name) }))
  } catch {
    return []
  }
}

/** Room that stays free beside a copy: the database needs it to go on. */
const ROOM_LEFT = 64 * 1024 * 1024

/** @throws Error where a copy of so many bytes would fill the disk */
function checkRoom(folder: string, bytes: number): void {
  const { bavail, bsize } = statfsSync(folder)
  if (bavail * bsize < bytes + ROOM_LEFT)
    throw new Error(told('There is no room on the disk for a copy; nothing older was taken away.'))
}

/** What a copy is likely to need: the largest so far, and a third more. */
const largest = (folder: string): number => Math.max(0, ...listCopies(folder).map((c) => (4 / 3) * c.bytes))

/** That the file is called so must outlive a power cut too. */
function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

/** The one written last first, whatever day its name tells. */
const byAge = (folder: string, copies: Copy[]): Copy[] =>
  copies
    .map((copy) => ({ copy, at: statSync(join(folder, copy.name)).mtimeMs }))
    .sort((a, b) => b.at - a.at || (a.copy.name < b.copy.name ? 1 : -1))
    .map(({ copy }) => copy)

/** What a process that was ended left half written. */
function clearParts(folder: string): void {
  for (const name of existsSync(folder) ? readdirSync(folder) : [])
    if (name.startsWith('copy-') && name.endsWith('.zip.part')) rmSync(join(folder, name), { force: true })
}

/**
 * Write a copy beside the data, whole or not at all, and take away the oldest beyond those that are kept. A copy is only
 * taken away once a newer one stands and was read back whole.
 *
 * @param keep how many copies stay, at least 1
 */
export async function makeCopy(db: Db, folder: string, keep: number, now: Date): Promise<Copy> {
  mkdirSync(folder, { recursive: true })
  const name = `copy-${now.toISOString().slice(0, 19).replace(/:/g, '')}Z.zip`
  const part = join(folder, `${name}.part`)
  try {
    checkRoom(folder, largest(folder))
    await writeBackup(db, now, createWriteStream(part, { flush: true }))
    const backup = await readBackup(part)
    backup.close()
    renameSync(part, join(folder, name))
    syncFolder(folder)
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  }
  // The one just made stays whatever its name says: a clock that was ahead gives older ones a later name.
  const others = listCopies(folder).filter((c) => c.name !== name)
  for (const old of byAge(folder, others).slice(Math.max(1, keep) - 1)) rmSync(join(folder, old.name), { force: true })
  return { name, bytes: statSync(join(folder, name)).size, madeAt: now.toISOString() }
}

/** Why the last daily copy could not be made; undefined where it was, or none was due. */
export interface CopyState {
  problem: string | undefined
}

/**
 * A copy each day for as long as the server runs, the first when the last is older than a day.
 *
 * @returns stops it, and resolves when a copy under way has come to its end
 */
export function keepCopies(
  db: Db,
  folder: string,
  keep: number,
  log: (error: unknown) => void,
  state: CopyState = { problem: undefined },
): () => Promise<void> {
  let busy = false
  clearParts(folder)
  const look = async () => {
    // A copy whose name lies in the future means that the clock was ahead: it tells nothing of how old the last one is.
    const last = listCopies(folder).find((c) => Date.parse(c.madeAt) <= Date.now())
    if (last && Date.now() - Date.parse(last.madeAt) < DAY) return
    busy = true
    try {
      if (!(await acquireLease(db, JOB, JOB_MS))) return
      await makeCopy(db, folder, keep, new Date()).finally(() => releaseLease(db, JOB))
      state.problem = undefined
    } catch (error) {
      state.problem = (error as Error).message
      log(new Error(`The daily copy could not be written: ${(error as Error).message}`, { cause: error }))
    } finally {
      busy = false
    }
  }
  let looking = look()
  const timer = setInterval(() => {
    if (!busy) looking = look()
  }, LOOK_EVERY)
  timer.unref()
  return () => {
    clearInterval(timer)
    return looking
  }
}
