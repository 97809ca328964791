import { existsSync, readdirSync, renameSync } from 'node:fs'
import { readBackup } from '../backup/readBackup.ts'
import { restoreBackup } from '../backup/restoreBackup.ts'
import { configOfHere } from '../config.ts'
import { openDb } from '../db/db.ts'
import { lockFolder } from '../db/folderLock.ts'

const [file, option] = process.argv.slice(2)
const { dataDir, pgDir, databaseUrl } = configOfHere()

/** A folder that holds something is only moved aside when asked to, and never taken away. */
function makeRoom(folder: string): void {
  if (!existsSync(folder) || readdirSync(folder).length === 0) return
  if (option !== '--aside')
    throw new Error(
      `${folder} holds a database already. Add --aside to move it aside first (it is kept), or start with another DATA_DIR.`,
    )
  const aside = `${folder}-before-${new Date().toISOString().slice(0, 19).replace(/:/g, '')}`
  renameSync(folder, aside)
  console.log(`What was there is kept in ${aside}.`)
}

async function restore(): Promise<void> {
  if (!file) throw new Error('Which copy? npm run restore -- FILE.zip [--aside]')
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`)
  const backup = await readBackup(file)
  const unlock = databaseUrl ? () => undefined : lockFolder(dataDir)
  try {
    const folder = pgDir
    if (!databaseUrl) makeRoom(folder)
    const db = await openDb({ databaseUrl, dataDir: folder })
    const counts = await restoreBackup(db, backup)
    await db.close()
    const rows = Object.values(counts).reduce((a, b) => a + b, 0)
    console.log(`Restored the copy of ${backup.manifest.madeAt}: ${rows} rows in ${Object.keys(counts).length} tables, each checked.`) // prettier-ignore
  } finally {
    unlock()
  }
}

restore().catch((error: unknown) => {
  console.error((error as Error).message)
  process.exit(1)
})
