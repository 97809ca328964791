import {
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
  fsyncSync,
  closeSync,
} from 'node:fs'
import { join } from 'node:path'
import type { Db } from '../db/db.ts'
import { leaveJob, takeJob } from '../db/job.ts'
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

/**
 * Write a copy beside the data, whole or not at all, and take away the oldest beyond those that are kept. A copy is only
 * taken away once a newer one stands.
 *
 * @param keep how many copies stay, at least 1
 */
export async function makeCopy(db: Db, folder: string, keep: number, now: Date): Promise<Copy> {
  const { file } = await writeBackup(db, now)
  mkdirSync(folder, { recursive: true })
  const name = `copy-${now.toISOString().slice(0, 19).replace(/:/g, '')}Z.zip`
  const part = join(folder, `${name}.part`)
  const handle = openSync(part, 'w')
  try {
    writeSync(handle, file)
    fsyncSync(handle)
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  } finally {
    closeSync(handle)
  }
  renameSync(part, join(folder, name))
  for (const old of listCopies(folder).slice(Math.max(1, keep))) rmSync(join(folder, old.name), { force: true })
  return { name, bytes: file.length, madeAt: now.toISOString() }
}

/**
 * A copy each day for as long as the server runs, the first when the last is older than a day.
 *
 * @returns stops it
 */
export function keepCopies(db: Db, folder: string, keep: number, log: (error: unknown) => void): () => void {
  let busy = false
  const look = async () => {
    const last = listCopies(folder)[0]
    const age = last ? Date.now() - Date.parse(last.madeAt) : Infinity
    // A copy from the future means that the clock was set back: then a new one is made as well.
    if (busy || (age >= 0 && age < DAY)) return
    busy = true
    try {
      if (!(await takeJob(db, JOB, JOB_MS))) return
      await makeCopy(db, folder, keep, new Date()).finally(() => leaveJob(db, JOB))
    } catch (error) {
      log(new Error(`The daily copy could not be written: ${(error as Error).message}`, { cause: error }))
    } finally {
      busy = false
    }
  }
  void look()
  const timer = setInterval(() => void look(), LOOK_EVERY)
  timer.unref()
  return () => clearInterval(timer)
}
