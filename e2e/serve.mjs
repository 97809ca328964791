// The server that most journeys share. Its first start is over an empty folder, as a new user's is; what that laid out is
// also what the servers of other journeys begin with (`ownServer.ts`).
import { spawn } from 'node:child_process'
import { cpSync, rmSync } from 'node:fs'

const READY = 'reports/e2e-ready'
/** Another port than that of the tests, which wait for an answer there. */
const FIRST_PORT = '4199'
const { PORT, DATA_DIR } = process.env
const start = (dataDir, port, env = {}) =>
  spawn(process.execPath, ['dist-server/main.js'], {
    env: { ...process.env, DATA_DIR: dataDir, PORT: port, ...env },
    stdio: 'inherit',
  })
const ended = (child) => new Promise((resolve) => child.once('exit', resolve))

rmSync(READY, { recursive: true, force: true })
// A copy that is cut short would keep the others from making theirs.
const first = start(READY, FIRST_PORT, { COPIES: '0' })
for (;;) {
  const answer = await fetch(`http://127.0.0.1:${FIRST_PORT}/api/health`).catch(() => undefined)
  if (answer?.ok) break
  if (first.exitCode !== null) process.exit(first.exitCode)
  await new Promise((resolve) => setTimeout(resolve, 50))
}
first.kill('SIGTERM')
await ended(first)
cpSync(READY, DATA_DIR, { recursive: true })
const server = start(DATA_DIR, PORT)
process.on('SIGTERM', () => server.kill('SIGTERM'))
process.exit(await ended(server))
