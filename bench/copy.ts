// A copy of an office that has grown: PHOTOS pictures (2,000) and HITS hits (a million), while somebody goes on reading and writing.
// Says how long it took, the memory, and how long the others waited. On a folder of its own, taken away at the end.
import { randomBytes, randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { readBackup } from '@/server/backup/readBackup.ts'
import { makeCopy } from '@/server/backup/dailyCopies.ts'
import { addPhoto } from '@/server/db/photos.ts'
import { openDb } from '@/server/db/db.ts'
import { migrate } from '@/server/db/migrate.ts'
import { listRounds } from '@/server/db/rounds.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'

const photos = Number(process.env.PHOTOS ?? 2000)
const hits = Number(process.env.HITS ?? 1_000_000)
const photoBytes = Number(process.env.PHOTO_BYTES ?? 350_000)
const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-bench-copy-'))
const db = await openDb({ databaseUrl: process.env.DATABASE_URL, dataDir: join(folder, 'pg') })
await migrate(db)
await loadDemo(db, '2027-05-01')
const [round] = await listRounds(db)
const stops = Math.ceil(hits / 20)
await db.query(`insert into stop (id, round_id, seq, done_at) select gen_random_uuid(), $1, 1000 + n, now() from generate_series(1, $2::int) n`, [round!.id, stops]) // prettier-ignore
await db.query(`insert into hit (stop_id, ord, taxon, amount) select s.id, n, 'timothy', 1 from stop s, generate_series(1, 20) n where s.seq > 1000`) // prettier-ignore
for (let i = 0; i < photos; i++) await addPhoto(db, randomUUID(), 'bench', 'image/jpeg', randomBytes(photoBytes))
console.log(`${photos} pictures, ${stops * 20} hits are there`)

let done = false
let highest = 0
const waited: number[] = []
const others = (async () => {
  for (let i = 0; !done; i++) {
    const from = performance.now()
    if (i % 4 === 0)
      await db.query('insert into unknown (round_id, letter, named_as) values ($1, $2, null) on conflict (round_id, letter) do update set named_as = null', [round!.id, 'Z']) // prettier-ignore
    else await db.query('select id, name from paddock')
    waited.push(performance.now() - from)
    highest = Math.max(highest, process.memoryUsage.rss())
    await new Promise((r) => setTimeout(r, 20))
  }
})()
const before = process.memoryUsage.rss()
const from = performance.now()
const copy = await makeCopy(db, join(folder, 'copies'), 3, new Date())
const seconds = (performance.now() - from) / 1000
done = true
await others
waited.sort((a, b) => a - b)
const at = (q: number) => waited[Math.min(waited.length - 1, Math.floor(q * waited.length))]!.toFixed(0)
console.log(
  `copy of ${(statSync(join(folder, 'copies', copy.name)).size / 1e6).toFixed(0)} MB, written and read back, in ${seconds.toFixed(1)} s; memory ${((highest - before) / 1e6).toFixed(0)} MB above ${(before / 1e6).toFixed(0)}; ` +
    `${waited.length} other questions: median ${at(0.5)} ms, 99 % ${at(0.99)} ms, longest ${at(1)} ms`,
)
;(await readBackup(join(folder, 'copies', copy.name))).close()
await db.close()
rmSync(folder, { recursive: true, force: true })
