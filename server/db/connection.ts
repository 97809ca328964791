import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { Worker } from 'node:worker_threads'
import type { Answer, Ask } from './dbThread.ts'
import { openPglite } from './pglite.ts'
import { preparedStatements } from './preparedStatements.ts'

/** One connection, on which one thing runs after the other. */
export interface Connection {
  query(text: string, params?: unknown[]): Promise<unknown[]>
  exec(text: string): Promise<void>
  close(): Promise<void>
}

/** The database stopped by itself, as on a full disk; what was under way was not saved, what was acknowledged is. */
export class DatabaseStopped extends Error {
  constructor(cause?: unknown) {
    super('The database stopped. What was under way was not saved; it is opened again with the next request.', {
      cause,
    })
  }
}

/** In this thread: for tests and tools. */
export async function connectHere(dataDir: string): Promise<Connection> {
  const lite = await openPglite(dataDir)
  return {
    query: preparedStatements(lite),
    exec: async (text) => void (await lite.exec(text)),
    close: () => lite.close(),
  }
}

/** The built server has the thread's script beside it; run from the sources, it is read as they are. */
function startThread(dataDir: string): Worker {
  const built = join(import.meta.dirname, 'dbThread.js')
  if (existsSync(built)) return new Worker(built, { workerData: { dataDir } })
  const source = JSON.stringify(pathToFileURL(join(import.meta.dirname, 'dbThread.ts')).href)
  const script = `import('tsx/esm/api').then((tsx) => { tsx.register(); return import(${source}) })`
  return new Worker(script, { eval: true, workerData: { dataDir } })
}

interface Waiting {
  resolve: (rows: unknown[]) => void
  reject: (error: unknown) => void
}

/** In a thread of its own, started again if it stops. */
export async function connectInThread(dataDir: string): Promise<Connection> {
  const waiting = new Map<number, Waiting>()
  let lastId = 0
  let thread: Worker | undefined
  let closing = false
  /** A transaction that was begun in a thread that stopped must not go on, half of it, in the next one. */
  let inTransaction = false
  const gone = (error: unknown) => {
    thread = undefined
    for (const w of waiting.values()) w.reject(error)
    waiting.clear()
  }
  const expect = (id: number) => new Promise<unknown[]>((resolve, reject) => waiting.set(id, { resolve, reject }))
  const start = async () => {
    const mine = startThread(dataDir)
    thread = mine
    // The last word of a thread that stopped may come when the next one is at work already.
    const stopped = (error: unknown) => thread === mine && gone(error)
    mine.on('message', (answer: Answer) => {
      const w = waiting.get(answer.id)
      waiting.delete(answer.id)
      if ('rows' in answer) w?.resolve(answer.rows)
      else w?.reject(Object.assign(new Error(), answer.error))
    })
    mine.once('error', (error) => stopped(new DatabaseStopped(error)))
    mine.once('exit', () => stopped(closing ? new Error('The database is closed.') : new DatabaseStopped()))
    try {
      await expect(0)
    } catch (error) {
      // What could not be opened is not asked any more: the next request tries again from the start.
      if (thread === mine) thread = undefined
      void mine.terminate()
      throw error
    }
  }
  /** Several may find the thread gone at the same time: one opening for all of them. */
  let opening: Promise<void> | undefined
  const open = () => (opening ??= start().finally(() => (opening = undefined)))
  await open()
  const ask = async (op: Ask['op'], text?: string, params?: unknown[]) => {
    if (!thread && inTransaction) {
      inTransaction = false
      throw new DatabaseStopped()
    }
    if ((!thread || opening) && !closing)
      await open().catch((error: unknown) => {
        throw new DatabaseStopped(error)
      })
    if (!thread) throw new Error('The database is closed.')
    const id = ++lastId
    const answer = expect(id)
    thread.postMessage({ id, op, ...(text === undefined ? {} : { text }), ...(params ? { params } : {}) } satisfies Ask)
    return answer
  }
  return {
    query: (text, params) => ask('query', text, params),
    exec: async (text) => {
      await ask('exec', text)
      if (text === 'begin') inTransaction = true
      else if (text === 'commit' || text === 'rollback') inTransaction = false
    },
    close: async () => {
      closing = true
      if (thread) await ask('close')
    },
  }
}
