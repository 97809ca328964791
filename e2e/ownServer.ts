import { expect } from '@playwright/test'
import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** A data folder with the demo in it, as the first start lays it out (`e2e/serve.mjs`): to lay it out takes longer than most journeys. */
const READY = 'reports/e2e-ready'

/** A server of the test's own, that can be stopped and started again over the same data. */
export function ownServer(port: number, env: Record<string, string> = {}) {
  const address = `http://127.0.0.1:${port}`
  const dataDir = mkdtempSync(join(tmpdir(), 'fold-sprig-e2e-'))
  if (env.DEMO !== 'off') cpSync(READY, dataDir, { recursive: true })
  let server: ChildProcess
  const answers = () =>
    fetch(`${address}/api/health`).then(
      (r) => r.status,
      () => 0,
    )
  const start = async () => {
    server = spawn(process.execPath, ['dist-server/main.js'], {
      env: { ...process.env, PORT: String(port), DATA_DIR: dataDir, ...env },
      stdio: 'ignore',
    })
    await expect.poll(answers, { timeout: 90_000 }).toBe(200)
  }
  /** A command of the project on the same data, while the server is off: what it printed. */
  const command = (script: string, ...args: string[]) =>
    execFileSync(process.execPath, [`dist-server/cli/${script}.js`, ...args], {
      env: { ...process.env, DATA_DIR: dataDir },
      encoding: 'utf8',
    })
  const stop = async () => {
    // A test that failed while its server was off has none to wait for.
    if (server.exitCode !== null || server.signalCode !== null) return
    const gone = new Promise((r) => server.once('exit', r))
    server.kill('SIGTERM')
    await gone
  }
  const end = async () => {
    await stop()
    rmSync(dataDir, { recursive: true, force: true })
  }
  return { address, command, start, stop, end }
}
