import { configOfHere } from '../config.ts'
import { openDb } from '../db/db.ts'
import { lockFolder } from '../db/folderLock.ts'
import { migrate } from '../db/migrate.ts'
import { importDune } from '../demo/importDune.ts'
import { loadFlora } from '../flora/loadFlora.ts'

const what = process.argv[2]
if (what !== 'dune') {
  console.error('Which table? The one that ships is: npm run import -- dune')
  process.exit(2)
}
const { dataDir, pgDir, databaseUrl } = configOfHere()
try {
  const unlock = databaseUrl ? () => undefined : lockFolder(dataDir)
  const db = await openDb({ databaseUrl, dataDir: pgDir })
  await migrate(db)
  const done = await importDune(db, loadFlora())
  console.log(`Loaded 20 plots of ${done.species} species, ${done.linked} of them in the book. Round ${done.roundId}.`)
  await db.close()
  unlock()
} catch (error) {
  console.error((error as Error).message)
  process.exit(1)
}
