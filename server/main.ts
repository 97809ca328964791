import { formatISO } from 'date-fns/formatISO'
import { createServer } from 'node:http'
import { join } from 'node:path'
import type { Accounts } from './access/access.ts'
import { openAdvisors } from './access/accounts.ts'
import { sharedSecret } from './access/sharedSecret.ts'
import { makeApp } from './app.ts'
import { clearScratch } from './backup/scratch.ts'
import { keepCopies, listCopies } from './backup/dailyCopies.ts'
import { configOfHere, onlyHere } from './config.ts'
import { openDb, type Db } from './db/db.ts'
import { FolderInUse, lockFolder } from './db/folderLock.ts'
import { acquireLease } from './db/lease.ts'
import { migrate } from './db/migrate.ts'
import { loadDemo } from './demo/loadDemo.ts'
import { Book } from './flora/book.ts'
import { addOwnPlants, followOwnPlants } from './flora/followOwnPlants.ts'
import { loadFlora } from './flora/loadFlora.ts'
import { logOf, makeLogger } from './logger.ts'
import { projectRoot } from './projectRoot.ts'

const config = configOfHere()

/** So long what is being answered has to end when the server is told to stop. */
const FINISH_MS = 400

/** Nothing is changed in a folder that cannot be read; what to do about it is said. */
function cannotOpen(error: unknown): never {
  const last = listCopies(config.copiesDir)[0]
  throw new Error(
    `The database ${config.databaseUrl ? 'at DATABASE_URL' : `in ${config.pgDir}`} could not be opened: ${(error as Error).message}\n` +
      'Nothing in it was changed. Is the disk full, or the folder not yours to write in? ' +
      (last
        ? `The last copy is of ${last.madeAt}: npm run restore -- ${join(config.copiesDir, last.name)} --aside`
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
  return { secret: await sharedSecret(db, 'cookies'), proxies: config.proxies }
}

async function start(): Promise<void> {
  const { databaseUrl, host } = config
  if (!onlyHere(host) && !config.accounts)
    throw new Error(
      `HOST=${host} would let every machine that reaches this one read and change the records. ` +
        'Leave HOST out, or make accounts and start with ACCOUNTS=on (docs/team.md).',
    )
  const unlock = databaseUrl ? () => undefined : lockFolder(config.dataDir)
  process.on('exit', unlock)
  const opening = openDb({ databaseUrl, dataDir: config.pgDir }).catch(cannotOpen)
  const book = new Book(loadFlora())
  const db = await opening
  await migrate(db)
  if (
    config.demo &&
    (await acquireLease(db, 'demo data', 60_000)) &&
    (await loadDemo(db, formatISO(new Date(), { representation: 'date' })))
  )
    console.log('Demo data: the Tarrow valley was loaded into the empty database.')
  const log = logOf(makeLogger(config.logLevel))
  const ownPlants = new Map<string, string>()
  await addOwnPlants(db, book, ownPlants, log)
  // Only on a server's database can another process add one.
  const stopFollowing = databaseUrl ? followOwnPlants(db, book, ownPlants, log) : () => undefined
  const accounts = config.accounts ? await openToAccounts(db) : undefined
  const copyState = { problem: undefined }
  const app = makeApp({ db, book, dist: join(projectRoot, 'dist'), copies: config.copiesDir, copyState, accounts, log })
  clearScratch()
  const stopCopies =
    config.copies > 0 ? keepCopies(db, config.copiesDir, config.copies, log, copyState) : () => undefined
  const server = createServer(app)
  const stop = () => {
    void stopCopies()
    stopFollowing()
    server.close()
    server.closeIdleConnections()
    // What is being answered may end; what is still asked then, or a connection that is only kept open, must not hold the
    // database open with it.
    let closing = false
    const close = () => {
      if (closing) return
      closing = true
      server.closeAllConnections()
      void db.close().finally(() => process.exit(0))
    }
    const late = setTimeout(close, FINISH_MS)
    server.once('close', () => {
      clearTimeout(late)
      close()
    })
    setTimeout(() => process.exit(0), 3000).unref()
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE')
      fail(new Error(`Port ${config.port} is taken. Start with another, such as PORT=${config.port + 1}.`))
    else fail(error)
  })
  server.listen(config.port, host, () =>
    console.log(`Fold Sprig is ready at http://${onlyHere(host) ? '127.0.0.1' : host}:${config.port}`),
  )
}

function fail(error: unknown): never {
  console.error(error instanceof FolderInUse || error instanceof Error ? error.message : error)
  process.exit(1)
}

start().catch(fail)
