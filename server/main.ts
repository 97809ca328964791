import { formatISO } from 'date-fns/formatISO'
import { createServer } from 'node:http'
import { join } from 'node:path'
import { makeApp } from './app.ts'
import { keepCopies, listCopies } from './backup/dailyCopies.ts'
import { openDb, type Db } from './db/db.ts'
import { FolderInUse, lockFolder } from './db/folderLock.ts'
import { listOwnPlants } from './db/ownPlants.ts'
import { migrate } from './db/migrate.ts'
import { loadDemo } from './demo/loadDemo.ts'
import { Book } from './flora/book.ts'
import { loadFlora, sayProblem } from './flora/loadFlora.ts'
import { projectRoot } from './projectRoot.ts'

const port = Number(process.env.PORT ?? 4170)
const host = process.env.HOST ?? '127.0.0.1'
const dataDir = process.env.DATA_DIR ?? './data'
const databaseUrl = process.env.DATABASE_URL
const copies = join(dataDir, 'copies')
const kept = Number(process.env.COPIES ?? 14)

/** Addresses that only this machine reaches. */
const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost'])

/** A text that no longer fits the vocabulary is left out with a word, not lost: it stays in the database. */
async function addOwnPlants(db: Db, book: Book): Promise<void> {
  for (const { id, yaml } of await listOwnPlants(db)) {
    const added = book.add(yaml)
    if ('problems' in added) console.error(`Own plant ${id} is left out: ${added.problems.map(sayProblem).join('; ')}`)
  }
}

/** Nothing is changed in a folder that cannot be read; what to do about it is said. */
function cannotOpen(error: unknown): never {
  const last = listCopies(copies)[0]
  throw new Error(
    `The database ${databaseUrl ? 'at DATABASE_URL' : `in ${join(dataDir, 'pg')}`} could not be opened: ${(error as Error).message}\n` +
      'Nothing in it was changed. Is the disk full, or the folder not yours to write in? ' +
      (last
        ? `The last copy is of ${last.madeAt}: npm run restore -- ${join(copies, last.name)} --aside`
        : 'There is no daily copy in it yet.'),
    { cause: error },
  )
}

async function start(): Promise<void> {
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(`PORT must be a number from 1 to 65535, not ${process.env.PORT}`)
  if (!LOOPBACK.has(host))
    throw new Error(
      `HOST=${host} would let every machine that reaches this one read and change the records: there are no accounts yet. ` +
        'Leave HOST out, and put a server with a log-in of its own in front if others are to reach it.',
    )
  if (!Number.isInteger(kept) || kept < 0) throw new Error(`COPIES must be a whole number, not ${process.env.COPIES}`)
  const unlock = databaseUrl ? () => undefined : lockFolder(dataDir)
  process.on('exit', unlock)
  const opening = openDb({ databaseUrl, dataDir: join(dataDir, 'pg') }).catch(cannotOpen)
  const book = new Book(loadFlora())
  const db = await opening
  await migrate(db)
  if (process.env.DEMO !== 'off' && (await loadDemo(db, formatISO(new Date(), { representation: 'date' }))))
    console.log('Demo data: the Tarrow valley was loaded into the empty database.')
  await addOwnPlants(db, book)
  const log = (error: unknown) => console.error(error)
  const app = makeApp({ db, book, dist: join(projectRoot, 'dist'), copies, log })
  const stopCopies = kept > 0 ? keepCopies(db, copies, kept, log) : () => undefined
  const server = createServer(app)
  const stop = () => {
    stopCopies()
    server.close(() => void db.close().finally(() => process.exit(0)))
    server.closeIdleConnections()
    setTimeout(() => process.exit(0), 3000).unref()
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE')
      fail(new Error(`Port ${port} is taken. Start with another, such as PORT=${port + 1}.`))
    else fail(error)
  })
  server.listen(port, host, () => console.log(`Fold Sprig is ready at http://127.0.0.1:${port}`))
}

function fail(error: unknown): void {
  console.error(error instanceof FolderInUse || error instanceof Error ? error.message : error)
  process.exit(1)
}

start().catch(fail)
