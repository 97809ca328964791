// An office that has grown for years: ROUNDS rounds (10,000) on 200 paddocks of 40 holdings. Says how long the list of rounds takes, and the
// first place in a browser, new and opened again. Needs a built app; on a folder of its own, taken away at the end.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { openDb } from '@/server/db/db.ts'
import { migrate } from '@/server/db/migrate.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'

const ROUNDS = Number(process.env.ROUNDS ?? 10_000)
const PORT = Number(process.env.PORT ?? 4179)
const address = `http://127.0.0.1:${PORT}`
const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-large-'))
const dataDir = process.env.DATABASE_URL ? folder : join(folder, 'pg')
const db = await openDb({ databaseUrl: process.env.DATABASE_URL, dataDir })
await migrate(db)
await loadDemo(db, '2027-05-01')
await db.query(`insert into holding (id, name, client) select gen_random_uuid(), 'Holding ' || n, 'Client ' || n from generate_series(1, 40) n`) // prettier-ignore
await db.query(`insert into paddock (id, holding_id, name, region, outlook, sown, strata, boundary, note)
  select gen_random_uuid(), h.id, 'Paddock ' || n || ' of ' || h.name, p.region, p.outlook, p.sown, p.strata, p.boundary, ''
  from holding h, generate_series(1, 5) n, (select * from paddock where boundary is not null limit 1) p where h.name like 'Holding %'`) // prettier-ignore
await db.query(
  `insert into round (id, paddock_id, title, method, purpose, planned_on, points_per_stop, source, settings)
   select gen_random_uuid(), p.id, 'Round ' || n, 'step-points', '', current_date - (n % 3000), 20, '', '{}'
   from generate_series(1, $1::int) n join (select id, row_number() over () as k from paddock) p on p.k = 1 + n % 200`,
  [ROUNDS],
)
await db.query(`insert into stop (id, round_id, seq, done_at, stratum, measures, version, written_by)
  select gen_random_uuid(), r.id, n, case when r.title ~ '7$' then null else now() end, '', '{}', 1, '' from round r, generate_series(1, 20) n where r.title like 'Round %'`) // prettier-ignore
await db.query('analyze')
await db.close()
console.log(`${ROUNDS} rounds are there`)

const server = spawn(process.execPath, ['dist-server/main.js'], {
  env: { ...process.env, PORT: String(PORT), DATA_DIR: folder },
  stdio: ['ignore', 'ignore', 'inherit'],
})
const answers = () => fetch(`${address}/api/health`).then((r) => r.ok, () => false) // prettier-ignore
while (!(await answers())) await new Promise((r) => setTimeout(r, 200))
for (let i = 0; i < 3; i++) {
  const from = performance.now()
  const text = await (await fetch(`${address}/api/rounds`)).text()
  console.log(`list of rounds: ${(text.length / 1e6).toFixed(1)} MB in ${(performance.now() - from).toFixed(0)} ms`)
}
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
for (let i = 0; i < 4; i++) {
  const from = performance.now()
  await page.goto(`${address}/rounds`)
  await page.getByRole('heading', { name: 'Counted' }).waitFor()
  await page.getByRole('button', { name: /Paddock/ }).first().waitFor() // prettier-ignore
  console.log(`first place: ${(performance.now() - from).toFixed(0)} ms`)
  await page.waitForTimeout(3000)
}
await browser.close()
server.kill()
await new Promise((r) => server.once('exit', r))
rmSync(folder, { recursive: true, force: true })
