import { accountRoles, type AccountRole } from '@/contract/accounts.ts'
import { randomBytes } from 'node:crypto'
import { addAccount, changeAccount, listAccounts, setPassword } from '../access/accounts.ts'
import { nameKey } from '../access/passwords.ts'
import { configOfHere } from '../config.ts'
import { openDb, type Db } from '../db/db.ts'
import { lockFolder } from '../db/folderLock.ts'
import { migrate } from '../db/migrate.ts'

const [what, name, role] = process.argv.slice(2)
const { dataDir, pgDir, databaseUrl } = configOfHere()

const HOW = `npm run account -- add "Name" advisor     a new account (or trainee); its first password is shown once
npm run account -- reset "Name"           a new password; signed out everywhere
npm run account -- close "Name"           nobody comes in with it any more; what it did stays
npm run account -- list`

/** Letters that are not taken for one another when read aloud or copied by hand. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789'

/** Eighty bits and more, in groups that can be read out. */
function firstPassword(): string {
  const letters = Array.from(randomBytes(64))
    .filter((b) => b < LETTERS.length * 8)
    .map((b) => LETTERS[b % LETTERS.length]!)
  return [0, 4, 8, 12, 16].map((i) => letters.slice(i, i + 4).join('')).join('-')
}

async function named(db: Db) {
  const account = (await listAccounts(db)).find((a) => nameKey(a.name) === nameKey(name ?? ''))
  if (!account) throw new Error(`There is no account named ${name ?? '(nothing)'}.`)
  return account
}

/** What cannot be done whatever the database holds is said before it is opened. */
function readRole(): AccountRole | undefined {
  const as = accountRoles.find((r) => r === role)
  if (what === 'add' ? !name || !as : !['reset', 'close', 'list'].includes(what ?? '')) throw new Error(HOW)
  return as
}

async function run(db: Db, as: AccountRole | undefined): Promise<void> {
  if (what === 'list') {
    for (const a of await listAccounts(db)) console.log(`${a.name} · ${a.role}${a.closedAt ? ' · closed' : ''}`)
    return
  }
  const password = firstPassword()
  if (what === 'add') {
    const account = await addAccount(db, { name: name!, role: as!, password })
    console.log(`${account.name} may come in as ${account.role}. Password, shown this once: ${password}`)
  } else if (what === 'reset') {
    const account = await named(db)
    await setPassword(db, account, password)
    console.log(`${account.name} is signed out everywhere. New password, shown this once: ${password}`)
  } else {
    const account = await named(db)
    await changeAccount(db, account.id, { role: account.role, closed: true }, { lastToo: true })
    console.log(`${account.name} cannot come in any more.`)
  }
}

async function main(): Promise<void> {
  const as = readRole()
  const unlock = databaseUrl ? () => undefined : lockFolder(dataDir)
  try {
    const db = await openDb({ databaseUrl, dataDir: pgDir })
    await migrate(db)
    await run(db, as).finally(() => db.close())
  } finally {
    unlock()
  }
}

main().catch((error: unknown) => {
  console.error((error as Error).message)
  process.exit(1)
})
