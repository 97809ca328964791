import { formatISO } from 'date-fns/formatISO'
import { createServer } from 'node:http'
import { join } from 'node:path'
import type { Accounts } from './access/access.ts'
import { openAdvisors } from './access/accounts.ts'
import { sharedSecret } from './access/sharedSecret.ts'
import { makeApp } from './app.ts'
import { clearScratch } from './backup/scratch.ts'
import { keepCopies, listCopies } from './backup/dailyCopies.ts'
import { openDb, type Db } from './db/db.ts'
import { FolderInUse, lockFolder } from './db/folderLock.ts'
import { takeJob } from './db/job.ts'
import { migrate } from './db/migrate.ts'
import { loadDemo } from './demo/loadDemo.ts'
import { Book } from './flora/book.ts'
import { addOwnPlants, followOwnPlants } from './flora/followOwnPlants.ts'
import { loadFlora } from './flora/loadFlora.ts'
import { projectRoot } from './projectRoot.ts'

const port = Number(process.env.PORT ?? 4170)
const host = process.env.HOST ?? '127.0.0.1'
const dataDir = process.env.DATA_DIR ?? './data'
const databaseUrl = process.env.DATABASE_URL
const copies = join(dataDir, 'copies')
const kept = Number(process.env.COPIES ?? 14)

/** Others may come in, each with a name and a password. */
const withAccounts = process.env.ACCOUNTS === 'on'
const proxies = Number(process.env.PROXIES ?? 0)

/** So long what is being answered has to end when the server is told to stop. */
const FINISH_MS = 400

/** Addresses that only this machine reaches. */
const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost'])

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

/** Nobody could sign in where there is no account: better to say so now. */
async function openToAccounts(db: Db): Promise<Accounts> {
  if ((await openAdvisors(db)) === 0) {
    await db.close()
    throw new Error(
      'ACCOUNTS=on, but no advisor has an account yet. Make one first: npm run account -- add "Your name" advisor',
    )
  }
  return { secret: await sharedSecret(db, 'cookies'), proxies }
}

async function start(): Promise<void> {
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(`PORT must be a number from 1 to 65535, not ${process.env.PORT}`)
  if (!Number.isInteger(proxies) || proxies < 0)
    throw new Error(`PROXIES must be the number of proxies in front, not ${process.env.PROXIES}`)
  if (!LOOPBACK.has(host) && !withAccounts)
    throw new Error(
      `HOST=${host} would let every machine that reaches this one read and change the records. ` +
        'Leave HOST out, or make accounts and start with ACCOUNTS=on (docs/team.md).',
    )
  if (!Number.isInteger(kept) || kept < 0) throw new Error(`COPIES must be a whole number, not ${process.env.COPIES}`)
  const unlock = databaseUrl ? () => undefined : lockFolder(dataDir)
  process.on('exit', unlock)
  const opening = openDb({ databaseUrl, dataDir: join(dataDir, 'pg') }).catch(cannotOpen)
  const book = new Book(loadFlora())
  const db = await opening
  await migrate(db)
  if (
    process.env.DEMO !== 'off' &&
    (await takeJob(db, 'demo data', 60_000)) &&
    (await loadDemo(db, formatISO(new Date(), { representation: 'date' })))
  )
    console.log('Demo data: the Tarrow valley was loaded into the empty database.')
  const log = (error: unknown) => console.error(error)
  const ownPlants = new Map<string, string>()
  await addOwnPlants(db, book, ownPlants, log)
  // Only on a server's database can another process add one.
  const stopFollowing = databaseUrl ? followOwnPlants(db, book, ownPlants, log) : () => undefined
  const accounts = withAccounts ? await openToAccounts(db) : undefined
  const copyState = { problem: undefined }
  const app = makeApp({ db, book, dist: join(projectRoot, 'dist'), copies, copyState, accounts, log })
  clearScratch()
  const stopCopies = kept > 0 ? keepCopies(db, copies, kept, log, copyState) : () => undefined
  const server = createServer(app)
  const stop = () => {
    stopCopies()
    stopFollowing()
    server.close(() => void db.close().finally(() => process.exit(0)))
    server.closeIdleConnections()
    // What is being answered may end; a connection that is only kept open must not hold the database open with it.
    setTimeout(() => server.closeAllConnections(), FINISH_MS).unref()
    setTimeout(() => process.exit(0), 3000).unref()
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE')
      fail(new Error(`Port ${port} is taken. Start with another, such as PORT=${port + 1}.`))
    else fail(error)
  })
  server.listen(port, host, () =>
    console.log(`Fold Sprig is ready at http://${LOOPBACK.has(host) ? '127.0.0.1' : host}:${port}`),
  )
}

function fail(error: unknown): void {
  console.error(error instanceof FolderInUse || error instanceof Error ? error.message : error)
  process.exit(1)
}

start().catch(fail)
