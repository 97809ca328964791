// Kills the server again and again while several clients write, pictures come and copies are made; then every acknowledged write must be
// there, once, and every copy that is listed or was taken away must be whole.
// KILLS says how often (200), PORT where it listens. Works on a folder of its own, which it takes away when all was well.
import JSZip from 'jszip'
import { spawn } from 'node:child_process'
import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { existsSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const KILLS = Number(process.env.KILLS ?? 200)
const CLIENTS = 4
const PORT = Number(process.env.PORT ?? 4178)
const address = `http://127.0.0.1:${PORT}`
const dataDir = mkdtempSync(join(tmpdir(), 'fold-sprig-kill-'))
const taxa = ['perennial-ryegrass', 'white-clover', 'timothy', 'bare']

let server
process.on('exit', () => server?.kill('SIGKILL'))
const starts = []
async function start() {
  const from = performance.now()
  let said = ''
  server = spawn(process.execPath, ['dist-server/main.js'], {
    env: { ...process.env, PORT: String(PORT), DATA_DIR: dataDir, DEMO: 'off' },
    stdio: ['ignore', 'ignore', 'pipe'],
  })
  server.stderr.on('data', (d) => (said += d))
  for (;;) {
    if (server.exitCode !== null) throw new Error(`the server did not start again: ${said}`)
    const up = await fetch(`${address}/api/health`).then((r) => r.ok, () => false) // prettier-ignore
    // Another server on this port would make the whole bench mean nothing.
    if (up && server.exitCode === null) break
    await new Promise((r) => setTimeout(r, 30))
  }
  starts.push(performance.now() - from)
}
const send = (method, url, body) =>
  fetch(address + url, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
const read = async (url) => (await fetch(address + url)).json()

/** Ids of all answers, from a copy of everything: the list for the screen ends at the newest 20,000. */
async function answersInCopy() {
  const copy = await JSZip.loadAsync(await (await fetch(`${address}/api/backup`)).arrayBuffer())
  const lines = await copy.file('tables/practice_answer.ndjson').async('string')
  return lines
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line).id)
}

await start()
const holding = { id: randomUUID(), name: 'Kill bench', client: '' }
const paddock = { id: randomUUID(), holdingId: holding.id, name: 'Field', boundary: null, region: 'cool-humid', outlook: 'grazing', sown: [], strata: [], note: '' } // prettier-ignore
await send('POST', '/api/holdings', holding)
await send('POST', '/api/paddocks', paddock)

/** What the server said it has: stops by round, and answers of practice. */
const stops = new Map()
const answers = new Set()
let acknowledged = 0
let refused = 0

/** Each client writes to a round of its own: a stop, then the same stop again, then an answer of practice. */
async function client(round, running) {
  let seq = 0
  while (running()) {
    seq = (seq % 200) + 1
    const hits = taxa.map((taxon, i) => ({ taxon, amount: 1 + ((seq + i) % 5) }))
    const stop = { id: randomUUID(), hits, doneAt: new Date().toISOString() }
    const id = randomUUID()
    try {
      const put = await send('PUT', `/api/rounds/${round}/stops/${seq}`, stop)
      if (put.ok) {
        stops.set(`${round}/${seq}`, JSON.stringify(hits))
        acknowledged++
      } else refused++
      const post = await send('POST', '/api/practice-answers', {
        answers: [{ id, kind: 'name', about: 'timothy', answered: 'timothy', right: true, sure: 0.9, seconds: 1, at: '2026-05-01T10:00:00.000Z' }], // prettier-ignore
      })
      if (post.ok) {
        answers.add(id)
        acknowledged++
      } else refused++
    } catch {
      // The server is gone: what was under way was not acknowledged, and may be there or not.
      stops.delete(`${round}/${seq}`)
      await new Promise((r) => setTimeout(r, 20))
    }
  }
}

const sum = (bytes) => createHash('sha256').update(bytes).digest('hex')
/** Acknowledged pictures by their id, as the sum of their bytes; taken away again so that the copies stay small. */
const pictures = new Map()
let picturesKept = 0
async function pictureClient(running) {
  while (running()) {
    const id = randomUUID()
    const bytes = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), randomBytes(60_000)])
    try {
      const put = await fetch(`${address}/api/photos/${id}?subject=kill`, { method: 'PUT', body: bytes })
      if (put.ok) {
        pictures.set(id, sum(bytes))
        picturesKept++
      }
      if (pictures.size > 40) {
        const [oldest] = pictures.keys()
        pictures.delete(oldest)
        await send('DELETE', `/api/photos/${oldest}`, {})
      }
    } catch {
      await new Promise((r) => setTimeout(r, 20))
    }
    await new Promise((r) => setTimeout(r, 100))
  }
}
const problems = []
let takenAway = 0
const isWhole = async (bytes) => (await fetch(`${address}/api/backup/check`, { method: 'POST', body: bytes })).ok
async function copyClient(running) {
  while (running()) {
    try {
      const answer = await fetch(`${address}/api/backup`)
      const bytes = Buffer.from(await answer.arrayBuffer())
      if (answer.ok && !(await isWhole(bytes))) problems.push('a copy that was taken away is not whole')
      if (answer.ok) takenAway++
    } catch {
      await new Promise((r) => setTimeout(r, 20))
    }
  }
}
/** The copies beside the data, made two days older, so that the next start makes another. */
const copiesDir = join(dataDir, 'copies')
const copies = () => (existsSync(copiesDir) ? readdirSync(copiesDir).filter((n) => n.endsWith('.zip')) : [])
function ageCopies() {
  copies().forEach((name, i) => {
    const old = `copy-2026-01-01T${String(Math.floor(i / 60)).padStart(2, '0')}${String(i % 60).padStart(2, '0')}${String(renamed++ % 60).padStart(2, '0')}Z.zip`
    if (!name.startsWith('copy-2026-01-01')) renameSync(join(copiesDir, name), join(copiesDir, old))
  })
}
let renamed = 0
let listed = 0

const rounds = []
for (let c = 0; c < CLIENTS; c++) {
  const id = randomUUID()
  rounds.push(id)
  const made = await send('POST', '/api/rounds', { id, paddockId: paddock.id, title: `Client ${c}`, method: 'cover-classes', purpose: '', plannedOn: '2026-05-01', pointsPerStop: 1, settings: {}, laid: [{ id: randomUUID(), seq: 1, position: [0, 0], stratum: '' }] }) // prettier-ignore
  if (!made.ok) throw new Error(await made.text())
}

for (let k = 0; k < KILLS; k++) {
  let on = true
  const running = () => on
  const writing = [...rounds.map((r) => client(r, running)), pictureClient(running), copyClient(running)]
  await new Promise((r) => setTimeout(r, 200 + Math.random() * 1300))
  const gone = new Promise((r) => server.once('exit', r))
  server.kill('SIGKILL')
  await gone
  on = false
  await Promise.all(writing)
  ageCopies()
  await start()
  if (k % 20 === 19 || k === KILLS - 1) {
    const there = new Map()
    for (const r of rounds)
      for (const s of (await read(`/api/rounds/${r}`)).stops) {
        const key = `${r}/${s.seq}`
        if (there.has(key)) problems.push(`${key} is there twice`)
        there.set(key, JSON.stringify(s.hits))
      }
    for (const [key, hits] of stops)
      if (there.get(key) !== hits) problems.push(`${key} was acknowledged as ${hits} and is ${there.get(key)}`)
    const kept = await answersInCopy()
    if (new Set(kept).size !== kept.length) problems.push('an answer is there twice')
    const has = new Set(kept)
    for (const id of answers) if (!has.has(id)) problems.push(`answer ${id} was acknowledged and is gone`)
    for (const [id, digest] of pictures) {
      const answer = await fetch(`${address}/api/photos/${id}`)
      if (!answer.ok || sum(Buffer.from(await answer.arrayBuffer())) !== digest)
        problems.push(`picture ${id} was acknowledged and is gone or changed`)
    }
    for (const name of copies()) {
      listed++
      if (!(await isWhole(readFileSync(join(copiesDir, name))))) problems.push(`${name} is listed and is not whole`)
    }
    console.log(`${picturesKept} pictures, ${takenAway} copies taken away, ${listed} looked at beside the data`)
    console.log(`${k + 1} kills: ${acknowledged} writes acknowledged, ${refused} refused, ${problems.length} problems`)
  }
}
server.kill('SIGTERM')
starts.sort((a, b) => a - b)
const at = (q) => (starts[Math.floor(q * (starts.length - 1))] / 1000).toFixed(2)
console.log(`reopened ${starts.length - 1} times in ${at(0.5)} s (median), ${at(0.95)} s (95 %), ${at(1)} s (longest)`)
for (const p of problems.slice(0, 20)) console.log(p)
if (problems.length === 0) rmSync(dataDir, { recursive: true, force: true })
process.exit(problems.length === 0 ? 0 : 1)
