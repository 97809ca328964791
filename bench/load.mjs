// Fifty clients for a minute, reads and writes mixed, against the built server on a folder of its own with demo data.
// SECONDS and CLIENTS change it; EACH=1 measures each kind of request alone; SOAK=1 says how memory goes minute by minute (for a run of twenty minutes).
import autocannon from 'autocannon'
import { spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const seconds = Number(process.env.SECONDS ?? 60)
const clients = Number(process.env.CLIENTS ?? 50)
const port = Number(process.env.PORT ?? 4178)
const address = `http://127.0.0.1:${port}`
const dataDir = mkdtempSync(join(tmpdir(), 'fold-sprig-load-'))
const env = { ...process.env, PORT: String(port), DATA_DIR: dataDir }
const server = spawn(process.execPath, ['dist-server/main.js'], { env, stdio: ['ignore', 'ignore', 'inherit'] })
process.on('exit', () => {
  server.kill('SIGKILL')
  rmSync(dataDir, { recursive: true, force: true })
})
while (
  server.exitCode === null &&
  !(await fetch(`${address}/api/health`).then(
    (r) => r.ok,
    () => false,
  ))
)
  // prettier-ignore
  await new Promise((r) => setTimeout(r, 100))
if (server.exitCode !== null) throw new Error('the server did not start')

const rounds = await (await fetch(`${address}/api/rounds`)).json()
const counted = rounds.find((r) => r.stopsDone > 0)
/** All stops of the counted rounds, in turn: two people are not at one stop at the same moment. */
const stops = rounds.filter((r) => r.stopsDone > 0).flatMap((r) => Array.from({ length: r.stops }, (_, i) => ({ id: r.id, n: i + 1 }))) // prettier-ignore
let sent = 0
const memory = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))[1]) / 1024
const json = { 'content-type': 'application/json' }
// One device: its own stops are never in conflict.
const by = randomUUID()
const stop = (n) => JSON.stringify({ id: randomUUID(), by, doneAt: new Date().toISOString(), hits: Array.from({ length: 20 }, (_, i) => ({ taxon: (i + n) % 3 ? 'perennial-ryegrass' : 'white-clover', amount: 1 })) }) // prettier-ignore
const naming = () => JSON.stringify({ answers: [{ id: randomUUID(), kind: 'name', about: 'timothy', answered: 'timothy', right: true, sure: 0.9, seconds: 2, at: new Date().toISOString() }] }) // prettier-ignore

/** A client a field: lists are read, a round is opened, its stops are written, a plant is named. */
const requests = [
  { method: 'GET', path: '/api/rounds' },
  { method: 'GET', path: `/api/rounds/${counted.id}` },
  { method: 'GET', path: '/api/places' },
  { method: 'GET', path: '/api/book-pieces', headers: { 'accept-encoding': 'gzip' } },
  { method: 'GET', path: '/api/health' },
  { method: 'POST', path: '/api/practice-answers', headers: json, setupRequest: (r) => ({ ...r, body: naming() }) },
  {
    method: 'PUT',
    path: `/api/rounds/${counted.id}/stops/1`,
    headers: json,
    setupRequest: (r) => {
      const { id, n } = stops[sent++ % stops.length]
      return { ...r, path: `/api/rounds/${id}/stops/${n}`, body: stop(n) }
    },
  },
]
if (process.env.SOAK) setInterval(() => console.log(`${new Date().toISOString()} ${memory().toFixed(0)} MB`), 60_000)
const before = memory()
/** Each client begins at another request: in step they would all write, then all read, which no fifty people do. */
let begun = 0
const setupClient = (client) => {
  const first = begun++ % requests.length
  client.setRequests([...requests.slice(first), ...requests.slice(0, first)])
}
const run = (duration, connections) => autocannon({ url: address, connections, duration, requests, setupClient, overallRate: process.env.RATE ? Number(process.env.RATE) : undefined }) // prettier-ignore
if (process.env.EACH) {
  // What one request of each kind costs when nothing else is asked.
  for (const request of requests) {
    const cpu = () => readFileSync(`/proc/${server.pid}/stat`, 'utf8').split(') ')[1].split(' ').slice(11, 13).reduce((a, b) => a + Number(b), 0) * 10 // prettier-ignore
    const start = cpu()
    const { requests: done, latency } = await autocannon({
      url: address,
      connections: 1,
      duration: 4,
      requests: [request],
    })
    const each = (cpu() - start) / done.total
    console.log(`${request.method} ${request.path.replace(/[0-9a-f-]{36}/, ':id')}: ${(4000 / done.total).toFixed(2)} ms, of it ${each.toFixed(2)} ms of processor in the server; 99 % ${latency.p99} ms`) // prettier-ignore
  }
  process.exit(0)
}
await run(5, 10)
const result = await run(seconds, clients)
const { latency, non2xx, errors, timeouts } = result
console.log(
  `${clients} clients, ${seconds} s: ${result.requests.average.toFixed(0)} requests a second; ` +
    `median ${latency.p50} ms, 97.5 % ${latency.p97_5} ms, 99 % ${latency.p99} ms, longest ${latency.max} ms; ` +
    `${errors} errors, ${timeouts} timeouts, ${non2xx} answers other than 2xx; ` +
    `${JSON.stringify(result.statusCodeStats)}; memory ${before.toFixed(0)} MB before, ${memory().toFixed(0)} MB after`,
)
process.exit(0)
