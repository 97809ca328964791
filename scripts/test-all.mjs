// Everything that must hold: lint, types, unit, end to end. The last line is the sum.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { spawn } from 'node:child_process'
import { installChromium } from './chromium.mjs'
import { build, installPackages, root, run } from './prepare.mjs'
import { withPostgres } from './withPostgres.mjs'

process.env.NO_COLOR = '1'
installPackages()
const bin = (name) => join(root, 'node_modules/.bin', name)
const reports = join(root, 'reports')
for (const old of ['unit.json', 'postgres.json', 'e2e.json', 'e2e-data'])
  rmSync(join(reports, old), { recursive: true, force: true })
mkdirSync(reports, { recursive: true })

const began = Date.now()
/** Names a step, and says how long the run has taken so far. */
const title = (name) => console.log(`\n== ${name} (after ${Math.round((Date.now() - began) / 1000)} s)`)

let passed = 0
let failed = 0
let skipped = 0

function step(name, command, args) {
  title(name)
  const ok = run(command, args) === 0
  if (ok) passed++
  else failed++
  return ok
}

function readReport(file, ok, count) {
  const path = join(reports, file)
  if (!existsSync(path)) return void failed++
  const sums = count(JSON.parse(readFileSync(path, 'utf8')))
  passed += sums.passed
  skipped += sums.skipped
  // A run that ends badly without a failed test (a file that does not load, a server that does not start) still failed.
  failed += sums.failed === 0 && !ok ? 1 : sums.failed
}

function chromium() {
  if (installChromium()) return true
  console.error('Chromium could not be installed. Install it and set CHROMIUM to its path, then run npm test again.')
  return false
}

/** Steps that need one core each, side by side; what each printed is shown when all have ended. */
async function together(chains) {
  const one = ([name, command, args]) =>
    new Promise((resolve) => {
      const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
      let text = ''
      for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (text += part))
      child.on('close', (code) => resolve({ name, text, ok: code === 0 }))
    })
  const run = async (chain) => {
    const done = []
    for (const each of chain) done.push(await one(each))
    return done
  }
  for (const { name, text, ok } of (await Promise.all(chains.map(run))).flat()) {
    console.log(`\n== ${name}: ${ok ? 'good' : 'FAILED'}\n${text.trim()}`)
    if (ok) passed++
    else failed++
  }
}

step('lock file', process.execPath, ['scripts/check-lock.mjs'])
title('lint and types beside walls, prettier and flora')
const folders = ['core', 'text', 'contract', 'server', 'web', 'tests', 'e2e', 'bench']
await together([
  [
    ['types', process.execPath, ['scripts/types.mjs']],
    ['oxlint', bin('oxlint'), []],
  ],
  [
    ['walls between the folders', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...folders]],
    ['prettier', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
    ['flora', process.execPath, ['--import', 'tsx', 'server/cli/checkFlora.ts']],
  ],
])

title('build')
build()
process.env.SERVER_IS_BUILT = 'yes'

title('unit')
const unitOk = run(bin('vitest'), ['run']) === 0
readReport('unit.json', unitOk, (r) => ({
  passed: r.numPassedTests,
  failed: r.numFailedTests,
  skipped: r.numPendingTests + r.numTodoTests,
}))

title('API on a PostgreSQL server')
const pgOk = await withPostgres((url) => {
  const env = { ...process.env, TEST_POSTGRES: url, TEST_REPORT: 'reports/postgres.json' }
  const parts = ['routes', 'backup', 'access', 'db/several.test.ts'].map((part) => `tests/server/${part}`)
  // Hostile requests were sent above: what they reach lies before the database.
  const without = ['--exclude', '**/fuzz.test.ts']
  return run(bin('vitest'), ['run', '--project', 'server', ...without, ...parts], { env }) === 0
})
if (pgOk === undefined)
  console.log('PostgreSQL is not installed here: the tests of the API ran on the embedded database only.')
else
  readReport('postgres.json', pgOk, (r) => ({
    passed: r.numPassedTests,
    failed: r.numFailedTests,
    skipped: r.numPendingTests + r.numTodoTests,
  }))

title('end to end')
if (chromium()) {
  const e2eOk = run(bin('playwright'), ['test']) === 0
  readReport('e2e.json', e2eOk, ({ stats }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
    skipped: stats.skipped,
  }))
} else failed++

title('done')
console.log(`\n${passed} passed, ${failed} failed${skipped > 0 ? `, ${skipped} skipped` : ''}`)
process.exit(failed === 0 ? 0 : 1)
